<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>Chart to measure pencils</title>
    <style>
        @page { margin: 0; }
        body { margin: 0; font-family: 'DejaVu Sans'; font-size: {{ $type->figure }}; color: #000; }
        .page { position: relative; width: {{ $sheet->width }}mm; height: {{ $sheet->height - 0.5 }}mm; overflow: hidden; }
        .page + .page { page-break-before: always; }
        .page div, .page img { position: absolute; }
        .box { border: 0.5pt dotted #777; }
        .black { background: #000; }
        .number { font-size: {{ $type->text }}; }
    </style>
</head>
<body>
@foreach ($rows as $page => $pencils)
    <div class="page">
        @foreach ($markers as $i => [$x, $y])
            <img src="{{ $rings[$i === 0 ? 'dotted' : 'plain'] }}" alt="" style="left: {{ $x - $ring }}mm; top: {{ $y - $ring }}mm; width: {{ 2 * $ring }}mm; height: {{ 2 * $ring }}mm">
        @endforeach
        @foreach ($squares[$page] as $i)
            <div class="black" style="left: {{ $places[$i][0] - $square / 2 }}mm; top: {{ $places[$i][1] - $square / 2 }}mm; width: {{ $square }}mm; height: {{ $square }}mm"></div>
        @endforeach
        <div style="left: 12mm; top: 19.5mm; width: {{ $sheet->width - 24 }}mm">{{ $what }} Page {{ $page + 1 }} of {{ count($rows) }}.</div>
        @foreach ($pencils as $id => $boxes)
            <div style="left: {{ $boxes[0]->x - $label }}mm; top: {{ $boxes[0]->y + 2 }}mm; width: {{ $label - 2 }}mm; height: {{ $boxes[0]->height - 2 }}mm; overflow: hidden"><span class="number">{{ $labels[$id]['number'] ?? $id }}</span><br>{{ \Illuminate\Support\Str::limit($labels[$id]['name'] ?? '', $label > 30 ? 110 : 30) }}</div>
            @foreach ($boxes as $box)
                @if ($box->y === $pencils[array_key_first($pencils)][0]->y)
                    <div style="left: {{ $box->x - 2.5 }}mm; top: {{ $box->y - 3.2 }}mm; width: {{ $box->width + 5 }}mm; font-size: {{ $type->figure }}; line-height: 1; text-align: center; white-space: nowrap">{{ $box->kind->words() }}</div>
                @endif
                <div class="{{ $box->kind->value === 'black' ? 'black' : 'box' }}" style="left: {{ $box->x }}mm; top: {{ $box->y }}mm; width: {{ $box->width }}mm; height: {{ $box->height }}mm"></div>
            @endforeach
        @endforeach
    </div>
@endforeach
</body>
</html>
