<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <link rel="icon" href="data:,">
    <title>Quote, {{ $job }}</title>
    <style nonce="{{ Vite::cspNonce() }}">
        @page { margin: 18mm 16mm; }
        body { font: 10pt/1.4 'DejaVu Sans', sans-serif; color: #2c1a2f; margin: 0 auto; max-width: 178mm; }
        h1 { font-size: 18pt; margin: 0; }
        .head { border-bottom: 1.5pt solid #2c1a2f; padding-bottom: 5pt; margin-bottom: 10pt; }
        .small { font-size: 8.5pt; color: #66505f; }
        table { width: 100%; border-collapse: collapse; }
        tr { page-break-inside: avoid; }
        th { text-align: left; font-weight: normal; color: #66505f; font-size: 8.5pt; }
        td, th { padding: 3pt 6pt 3pt 0; vertical-align: top; border-bottom: .5pt solid #dccdb9; font-size: 9.5pt; }
        .right { text-align: right; }
        .group td { font-weight: bold; padding-top: 8pt; }
        .sum td { border-bottom: 0; padding-top: 4pt; }
        .total td { font-size: 12pt; font-weight: bold; border-top: 1.2pt solid #2c1a2f; }
        .words { white-space: pre-line; }
        .caution { border-top: .5pt solid #2c1a2f; margin-top: 16pt; padding-top: 5pt; font-size: 8.5pt; }
    </style>
</head>
<body>
    <div class="head">
        <h1>Quote</h1>
        <b>{{ $job }}</b>{{ $client === '' ? '' : ' for '.$client }}<br>
        <span class="small">revision {{ $revision }} · {{ $printed }} · in {{ $terms->currency }}</span>
    </div>
    <table>
        <tr><th>Item</th><th class="right">Quantity</th><th class="right">{{ $terms->currency }}</th></tr>
        @if ($quote['parts'] !== [])
            <tr class="group"><td>Parts</td><td></td><td></td></tr>
        @endif
        @foreach ($quote['parts'] as $line)
            <tr>
                <td>{{ $line['what'] }}</td>
                <td class="right">{{ $line['count'] }}</td>
                <td class="right">{{ $line['amount'] }}</td></tr>
        @endforeach
        @if ($works !== [])
            <tr class="group"><td>Work</td><td class="right">{{ $hours }}</td><td></td></tr>
        @endif
        @foreach ($works as $line)
            <tr>
                <td>{{ $line['what'] }}</td>
                <td></td>
                <td class="right">{{ $line['amount'] }}</td></tr>
        @endforeach
        <tr class="sum"><td></td><td class="right">net</td><td class="right">{{ $quote['net'] }}</td></tr>
        @if ($terms->tax > 0)
            <tr class="sum">
                <td></td>
                <td class="right">tax {{ round(100 * $terms->tax, 2) }} %</td>
                <td class="right">{{ $quote['tax'] }}</td></tr>
        @else
            <tr class="sum"><td></td><td class="right">no tax added</td><td></td></tr>
        @endif
        <tr class="total">
            <td></td>
            <td class="right">total</td>
            <td class="right">{{ $quote['total']['text'] }}</td></tr>
    </table>
    @if ($quote['unpriced'] !== [])
        <p class="small">Not included, no price yet: {{ implode(', ', $quote['unpriced']) }}.</p>
    @endif
    @if ($terms->deposit > 0)
        <p><b>Deposit:</b> {{ round(100 * $terms->deposit, 2) }} %, {{ $deposit }} {{ $terms->currency }}, before the work begins.</p>
    @endif
    @if ($until !== '')
        <p><b>Valid</b> until {{ $until }}.</p>
    @endif
    @if ($terms->conditions !== '')
        <p class="words">{{ $terms->conditions }}</p>
    @endif
    <p class="caution">@if ($mains)Work on mains is done by a licensed person and is not included; local codes decide.@endif
        Times are estimates from lengths and joints; hourly rate {{ sprintf('%.2f', $terms->hourRate) }} {{ $terms->currency }}.</p>
</body>
</html>
