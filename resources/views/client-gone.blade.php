<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <link rel="icon" href="data:,">
    <title>This link is over</title>
    <style>
        body { font: 17px/1.5 system-ui, sans-serif; color: #2c1a2f; background: #f5eee4; margin: 0; padding: 32px 20px; }
        main { max-width: 640px; margin: 0 auto; }
    </style>
</head>
<body>
    <main>
        <h1>This link is over</h1>
        <p>It has run out, was taken back, or is not whole. Ask whoever installed your lights for a new one; nothing of what is yours is lost.</p>
    </main>
</body>
</html>
