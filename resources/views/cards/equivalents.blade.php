<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>{{ $from }} in {{ $to }}</title>
    @include('cards.style')
    <style>
        table { width: 100%; }
        td { border-bottom: 0.3pt solid #888; height: 6.4mm; vertical-align: middle; }
        th { font-size: {{ $type->figure }}; color: #333; }
        td img { width: 12mm; height: 5.6mm; display: block; }
        td.dab { width: 13mm; }
    </style>
</head>
<body>
    <h1>{{ $from }} and what comes nearest in {{ $to }}</h1>
    <p class="under">Heavy and light swatch, ΔE00: under 1 hardly different, under 4 close; above that the line has no close match, and a mix does better.</p>
    <table>
        <tr><th colspan="3">{{ $from }}</th><th colspan="3">{{ $to }}</th><th>heavy</th><th>light</th></tr>
        @foreach ($rows as $row)
            <tr>
                <td class="number">{{ $row['from']['number'] }}</td><td>{{ $row['from']['name'] }}</td><td class="dab"><img src="{{ $row['from']['dab'] }}" alt="{{ $row['from']['words'] }}"></td>
                @if ($row['near'])
                    <td class="dab"><img src="{{ $row['to']['dab'] }}" alt="{{ $row['to']['words'] }}"></td><td class="number">{{ $row['to']['number'] }}</td><td>{{ $row['to']['name'] }}</td>
                @else
                    <td></td><td colspan="2" class="small">no close match; the closest is {{ $row['to']['number'] }}</td>
                @endif
                <td>{{ number_format($row['heavyDeltaE00'], 1) }}</td><td>{{ number_format($row['lightDeltaE00'], 1) }}</td>
            </tr>
        @endforeach
    </table>
</body>
</html>
