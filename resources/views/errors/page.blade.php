<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Ember Dusk</title>
    <link rel="icon" href="/favicon.svg" type="image/svg+xml">
    <style nonce="{{ Vite::cspNonce() }}">
        body { margin: 0; min-height: 100vh; display: grid; place-items: center; font: 16px/24px sans-serif; background: #f5eee4; color: #2c1a2f; }
        main { max-width: 32rem; padding: 1rem; }
        h1 { font-size: 26px; line-height: 32px; margin: 0 0 8px; }
        a { color: #b93e12; font-weight: 600; }
    </style>
</head>
<body>
    <main>
        <h1>{{ $title }}</h1>
        <p>{{ $what }}</p>
        <p><a href="/">All jobs</a></p>
    </main>
</body>
</html>
