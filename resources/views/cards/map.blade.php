<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>Map of the drawer</title>
    @include('cards.style')
    <style>
        td.slot { width: {{ $cell }}mm; height: 20mm; border: 0.3pt solid #888; vertical-align: top; }
        td.slot img { width: {{ $cell - 0.4 }}mm; height: 8mm; display: block; }
        td.slot .number { font-size: {{ $type->text }}; }
        td.slot div { height: 3.4mm; overflow: hidden; }
        table { page-break-inside: avoid; }
    </style>
</head>
<body>
    <h1>Map of the drawer</h1>
    <p class="under">{{ $rows }} {{ $rows === 1 ? 'row' : 'rows' }} of {{ $slots }} in a tray, laid {{ $order }}.</p>
    @foreach ($trays as $n => $tray)
        @if (count($trays) > 1)<h2>Tray {{ $n + 1 }}</h2>@endif
        <table>
            @foreach ($tray as $row)
                <tr>@foreach ($row as $slot)<td class="slot">@if ($slot !== null)<img src="{{ $slot['dab'] }}" alt=""><span class="number">{{ $slot['number'] }}</span><div class="small">{{ $cell < 11 ? '' : $slot['name'] }}</div><div class="small">v. {{ $slot['value'] }}</div>@endif</td>@endforeach</tr>
            @endforeach
        </table>
    @endforeach
</body>
</html>
