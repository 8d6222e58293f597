<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <link rel="icon" href="data:,">
    <title>This link has expired</title>
    <style nonce="{{ Vite::cspNonce() }}">
        body { font: 17px/1.5 system-ui, sans-serif; color: #2c1a2f; background: #f5eee4; margin: 0; padding: 32px 20px; }
        main { max-width: 640px; margin: 0 auto; }
    </style>
</head>
<body>
    <main>
        <h1>This link has expired</h1>
        <p>It has expired, was revoked, or is incomplete. Ask your installer for a new link; none of your data is lost.</p>
    </main>
</body>
</html>
