@php $mm = static fn (float $v): string => round($v * $scale, 2).'mm'; @endphp
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>Step sheet: {{ $study }}</title>
    @include('cards.style')
    <style>
        table { width: 100%; }
        td { border-bottom: 0.3pt solid #888; height: {{ $mm(8) }}; vertical-align: middle; font-size: {{ $type->text }}; }
        th { font-size: {{ $type->figure }}; color: #333; }
        td.tick { width: {{ $mm(7) }}; } td.tick div { width: {{ $mm(4.5) }}; height: {{ $mm(4.5) }}; border: 0.5pt solid #000; }
        td.dab { white-space: nowrap; } td.dab img { width: {{ $mm(14) }}; height: {{ $mm(7) }}; vertical-align: middle; }
        td .number { font-size: {{ $type->number }}; }
        td { padding-right: {{ $mm(2) }}; }
        tr.head td { font-weight: bold; border-bottom: 0.8pt solid #000; }
        tr { page-break-inside: avoid; }
    </style>
</head>
<body>
    <h1>{{ $study }}: pass by pass</h1>
    <p class="under">On {{ $paper }} paper. Lay the passes from the top down; tick each when it is done, and compare it with the dab.</p>
    <table>
        <thead><tr><th></th><th>where</th><th>what</th><th>then it looks like, from the lights to the darks</th></tr></thead>
        <tbody>
        @foreach ($rows as $i => $row)
            @if ($row['head'] !== null)<tr class="head"><td colspan="4">{{ $row['head'] }}</td></tr>@endif
            <tr>
                <td class="tick"><div></div></td>
                <td>{{ $row['zone'] }}</td>
                <td>{{ $row['words'] }} @if ($row['care'] !== null)<span class="small">{{ $row['care'] }}</span>@endif</td>
                <td class="dab">@foreach ($row['dabs'] as $dab)<img src="{{ $dab['dab'] }}" alt="{{ $dab['colourWords'] }}"> @endforeach</td>
            </tr>
        @endforeach
        </tbody>
    </table>
    <p class="small">Pigment dust: no eating at the desk; wipe it up damp, do not blow. Rest hands and eyes every hour.</p>
</body>
</html>
