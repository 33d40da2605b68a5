<style>
    @page { margin: {{ $margin }}mm; }
    body { font-family: "DejaVu Sans"; font-size: {{ $type->text }}; color: #000; margin: 0; }
    h1 { font-size: {{ $type->title }}; margin: 0; font-weight: normal; }
    h2 { font-size: {{ $type->text }}; margin: 4mm 0 1mm 0; }
    .under { font-size: {{ $type->small }}; color: #333; margin: 0 0 3mm 0; border-bottom: 0.4pt solid #000; padding-bottom: 1.5mm; }
    table { border-collapse: collapse; }
    td, th { padding: 0; text-align: left; font-weight: normal; }
    .number { font-weight: bold; }
    .small { font-size: {{ $type->figure }}; color: #333; }
</style>
