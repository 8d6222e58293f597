<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="robots" content="noindex">
    <link rel="icon" href="data:,">
    <title>{{ $sheet['job'] }}</title>
    <style nonce="{{ Vite::cspNonce() }}">
        body { font: 17px/1.5 system-ui, sans-serif; color: #2c1a2f; background: #f5eee4; margin: 0; padding: 20px; }
        main { max-width: 680px; margin: 0 auto; }
        h1 { font-size: 26px; line-height: 1.2; margin: 0; }
        h2 { font-size: 20px; margin: 28px 0 6px; border-bottom: 3px solid #d69a5e; padding-bottom: 2px; }
        ul, ol { margin: 6px 0; padding-left: 24px; }
        li { margin: 4px 0; }
        .small { font-size: 15px; color: #66505f; }
        details { border-bottom: 1px solid #dccdb9; padding: 4px 0; }
        summary { cursor: pointer; font-weight: 600; min-height: 44px; display: flex; align-items: center; }
        table { border-collapse: collapse; font-size: 15px; }
        td, th { text-align: left; padding: 4px 12px 4px 0; border-bottom: 1px solid #dccdb9; vertical-align: top; }
        th { font-weight: 400; color: #66505f; }
        dl { margin: 0; }
        dt { font-weight: 600; margin-top: 10px; }
        dd { margin: 0; }
        .caution { border-left: 4px solid #b93e12; padding-left: 12px; margin-top: 28px; }
        @media print {
            body { background: none; color: #000; }
            details > *:not(summary) { display: block; }
        }
        .wide { overflow-x: auto; }
    </style>
</head>
<body>
    <main>
        <h1>{{ $sheet['job'] }}</h1>
        <p class="small">{{ $sheet['client'] }} · as of {{ $sheet['printed'] }}</p>
        @include('living.use')
        @if ($sheet['recovery'] !== [])
            <h2>After a loss</h2>
            @foreach ($sheet['recovery'] as $guide)
                <details>
                    <summary>{{ $guide['title'] }}</summary>
                    @include('living.back', ['guide' => ['same' => ''] + $guide])
                </details>
            @endforeach
        @endif
        <h2>Your lights</h2>
        <dl>
            @foreach ($sheet['runs'] as $run)
                <dt>{{ $run['light'] ?? $run['name'] }}, {{ $run['room'] ?? $run['place'] }}</dt>
                <dd>
                    {{ $run['controller'] ?? 'no controller' }}; fed by {{ $run['supply'] ?? 'nothing chosen yet' }}.
                    @if ($run['reset'] !== null)
                        <span class="small">To reset it: {{ $run['reset'] }}</span>
                    @endif
                </dd>
            @endforeach
        </dl>
        <p class="caution">{{ $sheet['caution'] }}</p>
    </main>
</body>
</html>
