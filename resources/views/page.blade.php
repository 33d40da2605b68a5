<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <meta name="account" content="{{ auth()->id() }}">
    <meta name="style-nonce" content="{{ Vite::cspNonce() }}">
    <title>Knotty Prism</title>
    <link rel="icon" href="/prism.svg" type="image/svg+xml">
    @vite('resources/ts/main.tsx')
</head>
<body>
    <div id="root"></div>
    <noscript>Knotty Prism needs scripts, all served from this machine; allow them for this address.</noscript>
</body>
</html>
