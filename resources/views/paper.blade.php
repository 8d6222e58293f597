<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <link rel="icon" href="data:,">
    <title>@yield('title'), {{ $job }}</title>
    <style nonce="{{ Vite::cspNonce() }}">
        @page { margin: 16mm 15mm; }
        body { font: 9.5pt/1.35 'DejaVu Sans', sans-serif; color: #2c1a2f; margin: 0 auto; max-width: 180mm; }
        h1 { font-size: 17pt; margin: 0; }
        h2 { font-size: 11pt; margin: 10pt 0 2pt; }
        p { margin: 0 0 4pt; }
        .head { border-bottom: 1.5pt solid #2c1a2f; padding-bottom: 4pt; margin-bottom: 6pt; }
        .small { font-size: 8pt; color: #66505f; }
        .sheet { page-break-after: always; }
        .sheet:last-child { page-break-after: auto; }
        table { width: 100%; border-collapse: collapse; }
        tr { page-break-inside: avoid; }
        th { text-align: left; font-weight: normal; color: #66505f; font-size: 8pt; }
        td, th { padding: 2.5pt 6pt 2.5pt 0; vertical-align: top; border-bottom: .5pt solid #dccdb9; }
        .right { text-align: right; }
        .nowrap { white-space: nowrap; }
        .box { display: inline-block; width: 9pt; height: 9pt; border: 1pt solid #2c1a2f; vertical-align: -1pt; margin-right: 4pt; }
        .caution { border-left: 2.5pt solid #b4541f; padding-left: 5pt; font-size: 8.5pt; margin-top: 1pt; }
        .line { border-bottom: .7pt solid #66505f; width: 34pt; display: inline-block; }
        .tick { width: 14pt; }
        .buy { width: 50pt; }
        .state { width: 60pt; }
    </style>
</head>
<body>@yield('sheets')</body>
</html>
