<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>Mixing chart</title>
    @include('cards.style')
    <style>
        td.mix, th.mix { width: {{ $cell }}mm; height: {{ $cellHeight }}mm; border: 0.3pt solid #888; vertical-align: middle; }
        th.mix { font-size: {{ $type->text }}; }
        td.mix img { width: {{ $cell / 2 - 0.3 }}mm; height: {{ $cellHeight - 0.6 }}mm; vertical-align: middle; }
        td.order { width: 28mm; height: 14mm; border: 0.3pt solid #888; vertical-align: middle; font-size: {{ $type->figure }}; }
        td.order img { width: 13mm; height: 9mm; }
    </style>
</head>
<body>
    <h1>Mixing chart of {{ count($pencils) }} pencils on {{ $paper }} paper</h1>
    <p class="under">Down the side: the pencil underneath, {{ $beneath }}. Along the top: the one on top, {{ $above }}. Left half of a field: as predicted; right half, empty: dab your own there, on this paper.</p>
    <table>
        <tr><th class="mix small">under \ over</th>@foreach ($pencils as $p)<th class="mix"><span class="number">{{ $p['number'] }}</span></th>@endforeach</tr>
        @foreach ($pairs as $i => $row)
            <tr>
                <th class="mix"><span class="number">{{ $pencils[$i]['number'] }}</span></th>
                @foreach ($row as $cell)<td class="mix"><img src="{{ $cell['dab'] }}" alt="{{ $cell['words'] }}"></td>@endforeach
            </tr>
        @endforeach
    </table>
    @if ($orders !== [])
        <h2>All three, in every order from the paper up, each {{ $above }}</h2>
        <table><tr>
            @foreach ($orders as $o)<td class="order">{{ implode(', ', $o['numbers']) }}<br><img src="{{ $o['dab'] }}" alt="{{ $o['words'] }}"></td>@endforeach
        </tr></table>
    @endif
</body>
</html>
