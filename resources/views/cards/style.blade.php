<style>
    @page { margin: {{ $margin }}mm; }
    body { font-family: "DejaVu Sans"; font-size: 8pt; color: #000; margin: 0; }
    h1 { font-size: 14pt; margin: 0; font-weight: normal; }
    h2 { font-size: 9pt; margin: 4mm 0 1mm 0; }
    .under { font-size: 7.5pt; color: #333; margin: 0 0 3mm 0; border-bottom: 0.4pt solid #000; padding-bottom: 1.5mm; }
    table { border-collapse: collapse; }
    td, th { padding: 0; text-align: left; font-weight: normal; }
    .number { font-weight: bold; }
    .small { font-size: 6pt; color: #333; }
</style>
