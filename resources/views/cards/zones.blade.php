@php $mm = static fn (float $v): string => round($v * $scale, 2).'mm'; @endphp
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>Zone sheets: {{ $study }}</title>
    @include('cards.style')
    <style>
        .zone { page-break-inside: avoid; margin-bottom: {{ $mm(6) }}; }
        .zone h2 { font-size: {{ $type->number }}; margin: 0 0 1mm 0; }
        ol.said { margin: 0 0 1.5mm 0; padding-left: 5mm; font-size: {{ $type->text }}; }
        td.thumb { width: {{ $mm(58) }}; vertical-align: top; }
        td.thumb img { width: {{ $mm(55) }}; }
        td.stack { width: {{ $mm(32) }}; vertical-align: top; }
        td.stack img { width: {{ $mm(14) }}; height: {{ $mm(7) }}; vertical-align: middle; }
        td.stack img.aim { width: {{ $mm(28) }}; height: {{ $mm(5) }}; display: block; }
        td.stack div { height: {{ $mm(7.2) }}; font-size: {{ $type->small }}; white-space: nowrap; overflow: hidden; }
        td.stack .number { font-size: {{ $type->text }}; }
    </style>
</head>
<body>
    <h1>{{ $study }}: zone by zone</h1>
    <p class="under">On {{ $paper }} paper. Lay the passes of a zone in their order. Under them, the stack of each of its colours, read from the bottom, the paper, up; the patch on top is what it should become. / whisper · // light · /// medium · //// firm · ///// full.</p>
    @foreach ($zones as $zone)
        <div class="zone">
            <h2>{{ $zone['name'] }} <span class="small">{{ $zone['area'] }} % of the picture</span></h2>
            <ol class="said">@foreach ($zone['passes'] as $pass)<li>{{ $pass }}</li>@endforeach</ol>
            @if ($zone['runsOut'] !== null)<p class="small">{{ $zone['runsOut'] }}</p>@endif
            <table><tr>
                <td class="thumb"><img src="{{ $zone['thumb'] }}" alt="where it is"></td>
                @foreach ($zone['stacks'] as $stack)
                    <td class="stack">
                        <span class="number">{{ $stack['shade'] }}</span>
                        <img class="aim" src="{{ $stack['aim'] }}" alt="{{ $stack['aimWords'] }}">
                        @foreach ($stack['passes'] as $pass)
                            <div><img src="{{ $pass['dab'] }}" alt="{{ $pass['colourWords'] }}"> @if ($pass['finish'] !== null){{ $pass['finish'] }}@else<span class="number">{{ $pass['pencil']['number'] }}</span> {{ str_repeat('/', $pass['pressureStrokes']) }}@endif</div>
                        @endforeach
                        <span class="small">{{ $stack['words'] }}</span>
                    </td>
                @endforeach
            </tr></table>
            @foreach ($zone['stacks'] as $stack)@foreach ($stack['warnings'] as $warning)<p class="small">! {{ $stack['shade'] }}: {{ $warning }}</p>@endforeach @endforeach
        </div>
    @endforeach
    <p class="small">Pigment dust: no eating at the desk; wipe it up damp, do not blow. Rest hands and eyes every hour.</p>
</body>
</html>
