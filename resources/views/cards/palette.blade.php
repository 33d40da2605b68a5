@php
    $mm = static fn (float $v): string => round($v * $scale, 2).'mm';
@endphp
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>Palette card: {{ $study }}</title>
    <style>
        @page { margin: {{ $margin }}mm; }
        body { font-family: "DejaVu Sans"; font-size: {{ $type->text }}; color: #000; margin: 0; }
        h1 { font-size: {{ $type->title }}; margin: 0; font-weight: normal; }
        .under { font-size: {{ $type->small }}; color: #333; margin: 0 0 {{ $mm(3) }} 0; border-bottom: 0.4pt solid #000; padding-bottom: {{ $mm(1.5) }}; }
        table { border-collapse: collapse; }
        table.page { width: 100%; }
        table.page > tbody > tr > td { width: 50%; vertical-align: top; padding: 0 {{ $mm(2.5) }} 0 0; }
        table.recipe { width: 100%; margin-bottom: {{ $mm(4.5) }}; page-break-inside: avoid; }
        table.recipe td { padding: 0; vertical-align: middle; }
        .name { font-size: {{ $type->text }}; font-weight: bold; }
        .words { font-size: {{ $type->figure }}; color: #333; }
        .order { width: {{ $mm(5) }}; font-size: {{ $type->text }}; color: #333; }
        .number { width: {{ $mm(15) }}; font-size: {{ $type->number }}; font-weight: bold; }
        .what { font-size: {{ $type->small }}; line-height: 1.15; }
        .strokes { font-family: "DejaVu Sans Mono"; font-weight: bold; }
        .dab { width: {{ $mm(16) }}; padding: 0; }
        .dab img { width: {{ $mm(15.6) }}; height: {{ $mm(7.6 * $stretch) }}; display: block; }
        .patch { width: {{ $mm(16) }}; }
        .patch img { width: {{ $mm(15.6) }}; height: {{ $mm(6.5) }}; display: block; }
        .box { width: {{ $mm(15) }}; height: {{ $mm(7.4 * $stretch) }}; border: 0.5pt solid #000; }
        .head td { font-size: {{ $type->figure }}; color: #333; padding-bottom: {{ $mm(0.6) }}; }
        .care { font-size: {{ $type->figure }}; padding-top: {{ $mm(0.6) }}; }
        .foot { font-size: {{ $type->figure }}; color: #333; }
    </style>
</head>
<body>
    <h1>{{ $study }}</h1>
    <p class="under">Palette card · {{ $count }} {{ $count === 1 ? 'recipe' : 'recipes' }} on {{ $paper }} paper · lay the passes from 1 down · dab each in its empty box on the same paper before drawing</p>
    @if ($count === 0)
        <p>No recipe is chosen yet. Point at the photo, choose a recipe, and print again.</p>
    @endif
    <table class="page"><tbody><tr>
        @foreach ($columns as $column)
            <td>
                @foreach ($column as $recipe)
                    <table class="recipe"><tbody>
                        <tr>
                            <td colspan="3" style="padding-right: {{ $mm(2) }}"><span class="name">{{ $recipe['name'] }}</span><br><span class="words">{{ $recipe['words'] }} · {{ $recipe['closeness'] }}</span></td>
                            <td class="patch"><img src="{{ $recipe['target'] }}" alt="the photo"></td>
                            <td class="words">photo</td>
                        </tr>
                        <tr class="head"><td></td><td>number</td><td>name, pressure</td><td>expected</td><td>yours</td></tr>
                        @foreach ($recipe['passes'] as $i => $pass)
                            <tr>
                                <td class="order">{{ $i + 1 }}</td>
                                <td class="number">{{ $pass['pencil']['number'] ?? '' }}</td>
                                <td class="what">
                                    @if ($pass['finish'] !== null)
                                        {{ $pass['finish'] }}@if ($pass['finish'] === 'solvent'): open a window, no flame, follow the label; dry 5–15 min @endif
                                    @else
                                        {{ $pass['pencil']['name'] }}, {{ $pass['pencil']['binder'] ?? 'binder unknown' }}<br>
                                        <span class="strokes">{{ str_repeat('/', $pass['pressureStrokes']) }}</span> {{ $pass['pressureWord'] }} {{ number_format($pass['pressure'], 2) }}
                                    @endif
                                </td>
                                <td class="dab"><img src="{{ $pass['dab'] }}" alt="{{ $pass['colourWords'] }}"></td>
                                <td><div class="box"></div></td>
                            </tr>
                        @endforeach
                        @foreach ($recipe['warnings'] as $warning)
                            <tr><td colspan="5" class="care">! {{ $warning }}</td></tr>
                        @endforeach
                    </tbody></table>
                @endforeach
            </td>
        @endforeach
    </tr></tbody></table>
    <p class="foot">Pressure: / whisper 0.20 · // light 0.35 · /// medium 0.55 · //// firm 0.80 · ///// full 1.00. Pigment dust: no eating at the desk; wipe it up damp, do not blow.</p>
</body>
</html>
