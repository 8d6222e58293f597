<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <link rel="icon" href="data:,">
    <title>{{ $sheet['job'] }}, revision {{ $sheet['revision'] }}</title>
    <style>
        @page { margin: 16mm 15mm; }
        body { font: 10pt/1.4 'DejaVu Sans', sans-serif; color: #2c1a2f; margin: 0 auto; max-width: 180mm; }
        h1 { font-size: 17pt; margin: 0; }
        h2 { font-size: 12.5pt; margin: 14pt 0 3pt; }
        h3 { font-size: 10pt; margin: 9pt 0 2pt; }
        .head { border-bottom: 1.5pt solid #2c1a2f; padding-bottom: 4pt; }
        .small { font-size: 8.5pt; color: #66505f; }
        table { width: 100%; border-collapse: collapse; }
        th { text-align: left; font-weight: normal; color: #66505f; font-size: 8.5pt; }
        td, th { padding: 2.5pt 6pt 2.5pt 0; vertical-align: top; border-bottom: .5pt solid #dccdb9; font-size: 9pt; }
        .right { text-align: right; }
        td b { white-space: nowrap; }
        .log { font-size: 8.5pt; margin: 2pt 0 0; padding: 0; list-style: none; }
        .caution { border-top: .5pt solid #2c1a2f; margin-top: 14pt; padding-top: 4pt; font-size: 8.5pt; }
    </style>
</head>
<body>
    <div class="head">
        <h1>{{ $sheet['job'] }}</h1>
        <span class="small">{{ $sheet['client'] }}
            · revision {{ $sheet['revision'] }}
            · engine {{ $sheet['engine'] }}
            · printed {{ $sheet['printed'] }}</span>
    </div>
    @foreach ($sheet['runs'] as $run)
        <h2>{{ $run['name'] }}, {{ $run['place'] }}</h2>
        <table>
            <tr>
                <th>Said as</th>
                <td>{{ $run['light'] === null ? 'not named yet' : '“'.$run['light'].'” in '.$run['room'] }}</td>
                <th>Strip</th>
                <td>{{ $run['strip'] ?? 'not chosen' }}, {{ $run['length'] }}</td></tr>
            <tr>
                <th>Supply</th>
                <td>{{ $run['supply'] ?? 'not chosen' }}</td>
                <th>Controller</th>
                <td>{{ $run['controller'] ?? 'not chosen' }}</td></tr>
        </table>
        @if ($run['cables'] !== [])
        <h3>Feeds and cables</h3>
        <table>
            <tr>
                <th>Cable</th>
                <th>Way</th>
                <th>Kind</th>
                <th class="right">Length</th>
                <th class="right">Core</th>
                <th class="right">Lost</th>
                <th class="right">At the strip</th></tr>
            @foreach ($run['cables'] as $cable)
                <tr>
                    <td><b>{{ $cable['id'] }}</b></td>
                    <td>{{ $cable['way'] }}</td>
                    <td>{{ $cable['kit'] }}</td>
                    <td class="right">{{ $cable['length'] }}</td>
                    <td class="right">{{ $cable['amps'] }}</td>
                    <td class="right">{{ $cable['drop'] }}</td>
                    <td class="right">{{ $cable['volts'] }}</td></tr>
            @endforeach
        </table>
        @endif
        @if ($run['figures'] !== [])
            <h3>Predicted, everything full</h3>
            <table>
                @foreach ($run['figures'] as $figure)
                    <tr>
                        <td>{{ $figure['label'] }}</td>
                        <td class="right"><b>{{ $figure['text'] }}</b> {{ $figure['unit'] }}</td>
                        <td class="small">{{ $figure['range'] === null ? '' : 'may lie from '.$figure['range'][0].' to '.$figure['range'][1] }}</td></tr>
                @endforeach
            </table>
        @endif
        @if ($run['wiring'] !== '')
            <div style="page-break-inside: avoid"><h3>As it was wired</h3>
            <img src="data:image/svg+xml;base64,{{ base64_encode($run['wiring']) }}" style="width: 178mm" alt="Wiring of {{ $run['name'] }}"></div>
        @endif
        @if ($run['reset'] !== null)
        <h3>To reset and join again</h3>
        <div>{{ $run['reset'] }}</div>
        @endif
    @endforeach
    @if ($sheet['missing'] !== '')
        <p class="small">{{ $sheet['missing'] }}</p>
    @endif
    @if ($sheet['also'] !== [])
        <p class="small">Also in the job: {{ implode('; ', $sheet['also']) }}.</p>
    @endif
    <h2>Join record{{ $sheet['joined'] === null ? '' : ', '.$sheet['joined'] }}</h2>
    <div class="small">
        {{ $sheet['hub'] === null ? 'No hub chosen.' : 'Hub: '.$sheet['hub'].'.' }}
        {{ $sheet['by'] === '' ? '' : 'Joined by '.$sheet['by'].'.' }}
        {{ $sheet['rehearsed'] === null ? '' : 'Rehearsed against stand-ins on '.$sheet['rehearsed'].'; that joins nothing.' }}
    </div>
    @if ($sheet['join'] === [])
        <div>Nothing has been joined on site yet.</div>
    @else
        <ul class="log">
            @foreach ($sheet['join'] as $line)
                <li>{{ $line }}</li>
            @endforeach
        </ul>
    @endif
    <h2>Tests and readings</h2>
    @if ($sheet['tested'] === [])
        <div>Nothing is wired yet that could be tested.</div>
    @endif
    @foreach ($sheet['tested'] as $run)
        <h3>{{ $run['name'] }}, {{ $run['place'] }}</h3>
        <div class="small">{{ $run['done'] === [] ? 'Nothing was tested.' : 'Tested: '.implode('; ', $run['done']).'.' }}</div>
        @if ($run['untested'] !== [] && $run['done'] !== [])
            <div class="small">Not tested: {{ implode('; ', $run['untested']) }}.</div>
        @endif
        @if ($run['seen'] !== '')
            <div class="small">Seen: {{ $run['seen'] }}</div>
        @endif
        @if ($run['readings'] !== [])
            <table>
                <tr><th>Reading</th><th class="right">Read</th><th class="right">Predicted</th><th>Lies</th></tr>
                @foreach ($run['readings'] as $reading)
                    <tr>
                        <td>{{ $reading['where'] }}</td>
                        <td class="right"><b>{{ $reading['read'] }}</b></td>
                        <td class="right">{{ $reading['expected'] }}</td>
                        <td>{{ $reading['verdict'] }}</td></tr>
                @endforeach
            </table>
        @elseif ($run['done'] !== [])
            <div class="small">No readings.</div>
        @endif
    @endforeach
    @include('living.left')
    @if ($sheet['day'] !== [])
        <h2>For every day</h2>
        @include('living.day')
    @endif
    @if ($sheet['scenes'] !== [])
        <h2>Scenes</h2>
        <ul class="log">
            @foreach ($sheet['scenes'] as $scene)
                <li><b>{{ $scene['name'] }}</b>: {{ $scene['says'] }}</li>
            @endforeach
        </ul>
    @endif
    @if ($sheet['plays'] !== [] || $sheet['power'] !== [])
        <h2>What plays and starts by itself, and what returns after the power</h2>
        <ul class="log">
            @foreach ([...$sheet['plays'], ...$sheet['power']] as $line)
                <li>{{ $line }}</li>
            @endforeach
        </ul>
    @endif
    @if ($sheet['cards'] !== [])
        <h2>To reset remotes, panels and bridges</h2>
        <table>
            @foreach ($sheet['cards'] as $card)
                <tr>
                    <td>{{ $card['device'] }}</td>
                    <td>{{ $card['says'] }}</td></tr>
            @endforeach
        </table>
    @endif
    @if ($sheet['recovery'] !== [])
        <h2>If something is lost or replaced</h2>
        @foreach ($sheet['recovery'] as $guide)
            <h3>{{ $guide['title'] }}</h3>
            @include('living.back')
        @endforeach
    @endif
    <h2>Open when this was printed</h2>
    @if ($sheet['open'] === [])
        <div>Nothing.</div>
    @else
        <ul class="log">
            @foreach ($sheet['open'] as $title)
                <li>{{ $title }}</li>
            @endforeach
        </ul>
    @endif
    <h2>What was checked</h2>
    @foreach ($sheet['checked'] as $group)
        <h3>{{ $group['subject'] }}</h3>
        <table>
            @foreach ($group['rules'] as $rule)
                <tr>
                    <td>{{ $rule['says'] }}</td>
                    <td class="small">{{ $rule['source'] }}</td>
                    <td class="right">{{ $rule['found'] > 0 ? $rule['found'].' found' : ($rule['open'] > 0 ? $rule['open'].' open' : 'holds') }}</td></tr>
            @endforeach
        </table>
    @endforeach
    <div class="caution">{{ $sheet['caution'] }}</div>
</body>
</html>
