<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <link rel="icon" href="data:,">
    <title>{{ $sheet['job'] }}, revision {{ $sheet['revision'] }}</title>
    <style nonce="{{ Vite::cspNonce() }}">
        @page { margin: 15mm; }
        body { font: 9pt/1.3 'DejaVu Sans', sans-serif; color: #2c1a2f; margin: 0 auto; max-width: 180mm; }
        h1 { font-size: 17pt; margin: 0; }
        h2 { font-size: 12pt; margin: 11pt 0 3pt; page-break-after: avoid; }
        h3 { font-size: 9.5pt; margin: 7pt 0 1pt; page-break-after: avoid; }
        p { margin: 0 0 3pt; }
        .head { border-bottom: 1.5pt solid #2c1a2f; padding-bottom: 4pt; }
        .annex { page-break-before: always; }
        .small { font-size: 8pt; color: #66505f; }
        table { width: 100%; border-collapse: collapse; }
        tr { page-break-inside: avoid; }
        th { text-align: left; font-weight: normal; color: #66505f; font-size: 8pt; }
        td, th { padding: 1.5pt 5pt 1.5pt 0; vertical-align: top; border-bottom: .5pt solid #dccdb9; font-size: 8.5pt; }
        .right { text-align: right; }
        td b { white-space: nowrap; }
        ul, ol { margin: 2pt 0; padding-left: 14pt; }
        .whole { page-break-inside: avoid; }
        .wiring { width: 150mm; }
        .log { font-size: 8pt; margin: 2pt 0 0; padding: 0; list-style: none; }
        .tight { font-size: 7pt; line-height: 1.2; margin: 2pt 0; color: #66505f; }
        .tight b { color: #2c1a2f; }
        .caution { border-top: .5pt solid #2c1a2f; margin-top: 10pt; padding-top: 4pt; font-size: 8pt; }
        .wide { overflow-x: auto; }
    </style>
</head>
<body>
    <div class="head">
        <h1>{{ $sheet['job'] }}</h1>
        <span class="small">{{ $sheet['client'] }} · {{ $sheet['printed'] }} · your lights, and what to do after a loss</span>
    </div>
    @include('living.client')
    <div class="caution">{{ $sheet['caution'] }}</div>

    <div class="annex head">
        <h1>Annex for the next installer</h1>
        <span class="small">{{ $sheet['job'] }}
            · revision {{ $sheet['revision'] }}
            · engine {{ $sheet['engine'] }}
            · printed {{ $sheet['printed'] }}</span>
    </div>
    @if ($sheet['open'] !== [])
        <h2>Open points at printing</h2>
        <ul class="log">
            @foreach ($sheet['open'] as $title)
                <li>{{ $title }}</li>
            @endforeach
        </ul>
    @endif
    @if ($sheet['seen'] !== [])
        <h2>Points accepted</h2>
        <ul class="log">
            @foreach ($sheet['seen'] as $line)
                <li>{{ $line }}</li>
            @endforeach
        </ul>
    @endif
    @foreach ($sheet['runs'] as $run)
        <h2>{{ $run['name'] }}, {{ $run['place'] }}</h2>
        <table>
            <tr>
                <th>Voice name</th>
                <td>{{ $run['light'] === null ? 'not named yet' : '“'.$run['light'].'” in '.$run['room'] }}</td>
                <th>Strip</th>
                <td>{{ $run['strip'] ?? 'not chosen' }}, {{ $run['length'] }}</td></tr>
            <tr>
                <th>Supply</th>
                <td>{{ $run['supply'] ?? 'not chosen' }}</td>
                <th>Controller</th>
                <td>{{ $run['controller'] ?? 'not chosen' }}</td></tr>
            @if ($run['data'] !== [])
                <tr>
                    <th>Entered in the board</th>
                    <td colspan="3">{{ implode('; ', $run['data']) }}</td></tr>
            @endif
        </table>
        @if ($run['figures'] !== [])
            <p class="small">Predicted at full:
                @foreach ($run['figures'] as $figure)
                    {{ lcfirst($figure['label']) }} <b>{{ $figure['text'] }}</b>
                    {{ $figure['unit'].($figure['range'] === null ? '' : " ({$figure['range'][0]} to {$figure['range'][1]})") }}{{ $loop->last ? '.' : ';' }}
                @endforeach
            </p>
        @endif
        @include('living.cables', ['cables' => $run['cables']])
        @if ($run['wiring'] !== '')
            <div class="whole"><h3>Wiring as built</h3>
            <img src="data:image/svg+xml;base64,{{ base64_encode($run['wiring']) }}" class="wiring" alt="Wiring of {{ $run['name'] }}"></div>
        @endif
        @if ($run['reset'] !== null)
            <p class="small"><b>Reset and join:</b> {{ $run['reset'] }}</p>
        @endif
    @endforeach
    @if ($sheet['cables'] !== [])
        <h2>Other cables</h2>
        @include('living.cables', ['cables' => $sheet['cables']])
    @endif
    @if ($sheet['missing'] !== '')
        <p class="small">{{ $sheet['missing'] }}</p>
    @endif
    @if ($sheet['also'] !== [])
        <p class="small">Other items: {{ implode('; ', $sheet['also']) }}.</p>
    @endif
    @if ($sheet['hiding'] !== [])
        <h2>Where each part is</h2>
        <table>
            @foreach ($sheet['hiding'] as $row)
                <tr>
                    <td><b>{{ $row['label'] }}</b></td>
                    <td>{{ $row['name'] }}</td>
                    <td>{{ $row['where'] }}</td></tr>
            @endforeach
        </table>
    @endif
    <h2>Join record{{ $sheet['joined'] === null ? '' : ', '.$sheet['joined'] }}</h2>
    <div class="small">
        {{ $sheet['hub'] === null ? 'No hub chosen.' : 'Hub: '.$sheet['hub'].'.' }}
        {{ $sheet['by'] === '' ? '' : 'Joined by '.$sheet['by'].'.' }}
        {{ $sheet['rehearsed'] === null ? '' : 'Rehearsed on '.$sheet['rehearsed'].'. A rehearsal joins nothing.' }}
        {{ $sheet['join'] === [] ? 'Nothing has been joined on site yet.' : '' }}
    </div>
    @if ($sheet['join'] !== [])
        <ul class="log">
            @foreach ($sheet['join'] as $line)
                <li>{{ $line }}</li>
            @endforeach
        </ul>
    @endif
    @include('living.left')
    @if ($sheet['tested'] !== [])
    <h2>Tests and readings</h2>
    @foreach ($sheet['tested'] as $run)
        <p class="small"><b>{{ $run['name'] }}, {{ $run['place'] }}.</b>
            {{ $run['done'] === [] ? 'Not tested.' : 'Tested: '.implode('; ', $run['done']).'.' }}
            {{ $run['untested'] !== [] && $run['done'] !== [] ? 'Not tested: '.implode('; ', $run['untested']).'.' : '' }}
            {{ $run['seen'] === '' ? '' : 'Seen: '.$run['seen'] }}</p>
        @if ($run['readings'] !== [])
            <table>
                <tr><th>Reading</th><th class="right">Read</th><th class="right">Predicted</th><th>Result</th></tr>
                @foreach ($run['readings'] as $reading)
                    <tr>
                        <td>{{ $reading['where'] }}</td>
                        <td class="right"><b>{{ $reading['read'] }}</b></td>
                        <td class="right">{{ $reading['expected'] }}</td>
                        <td>{{ $reading['verdict'] }}</td></tr>
                @endforeach
            </table>
        @endif
    @endforeach
    @endif
    @if ($sheet['cards'] !== [])
        <h2>Reset remotes, panels and bridges</h2>
        <table>
            @foreach ($sheet['cards'] as $card)
                <tr>
                    <td><b>{{ $card['device'] }}</b></td>
                    <td>{{ $card['says'] }}</td></tr>
            @endforeach
        </table>
    @endif
    @if ($sheet['recovery'] !== [])
        <h2>Recovery steps</h2>
        @foreach ($sheet['recovery'] as $guide)
            @if ($guide['steps'] !== [])
                <h3>{{ $guide['mark'] }} · {{ $guide['title'] }}</h3>
                @include('living.back')
            @endif
        @endforeach
    @endif
    <h2>What was checked</h2>
    @foreach ($sheet['checked'] as $group)
        <p class="tight small"><b>{{ $group['subject'] }}.</b>
            @foreach ($group['rules'] as $rule)
                {{ $rule['says'] }}@if ($rule['found'] > 0 || $rule['open'] > 0)
                    <b>({{ $rule['found'] > 0 ? $rule['found'].' found' : $rule['open'].' open' }})</b>@endif{{ $loop->last ? '.' : ';' }}
            @endforeach
        </p>
    @endforeach
    <p class="small">Made with Ember Dusk {{ App\Version::text() }}.</p>
</body>
</html>
