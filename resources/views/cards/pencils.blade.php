@php $mm = static fn (float $v): string => round($v * $scale, 2).'mm'; @endphp
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>Palette card: {{ $study }}</title>
    @include('cards.style')
    <style>
        table.card { width: 100%; }
        table.card td.cell { width: {{ $columns === 3 ? '33%' : '50%' }}; vertical-align: top; padding: 0 {{ $mm(2.5) }} {{ $mm(3) }} 0; }
        td.dab { width: {{ $mm(38) }}; white-space: nowrap; }
        .dab img { width: {{ $mm(18) }}; height: {{ $mm(9) }}; }
        .box { width: {{ $mm(16) }}; height: {{ $mm(8.6) }}; border: 0.5pt solid #000; }
        .number { font-size: {{ $type->number }}; }
        .what { font-size: {{ $type->small }}; }
    </style>
</head>
<body>
    <h1>{{ $study }}</h1>
    <p class="under">Palette card: {{ count($pencils) }} pencils on {{ $paper }} paper, light to dark. Left as predicted, heavy and light; dab your own in the empty box.</p>
    <table class="card">
        @foreach (array_chunk($pencils, $columns) as $row)
            <tr>
                @foreach ($row as $p)
                    <td class="cell"><table><tr>
                        <td class="dab"><img src="{{ $p['heavy'] }}" alt="{{ $p['words'] }}"><img src="{{ $p['light'] }}" alt="light"></td>
                        <td style="padding-left: 1.5mm; vertical-align: top"><div class="box"></div><span class="number">{{ $p['number'] }}</span> <span class="what">{{ $p['part'] ?? '' }}</span></td>
                    </tr><tr><td colspan="2" class="what">{{ $p['name'] }}, {{ $p['binder'] ?? 'binder unknown' }}<br><span class="small">{{ $p['zones'] }}</span></td></tr></table></td>
                @endforeach
            </tr>
        @endforeach
    </table>
    <p class="small">Pigment dust: no eating at the desk; wipe it up damp, do not blow.</p>
</body>
</html>
