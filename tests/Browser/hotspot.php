<?php

declare(strict_types=1);

// A network in between: forwards every request to the server, or answers in its place. A file sets its behaviour.
$mode = trim((string) file_get_contents((string) getenv('HOTSPOT_MODE')));
if ($mode === 'sign-in') {
    header('Content-Type: text/html');
    exit(
        '<!doctype html><title>Welcome</title><h1>Welcome to the guest network</h1><form><button>Accept</button></form>'
    );
}
if ($mode === 'gateway') {
    http_response_code(502);
    exit('Bad gateway');
}
$headers = ['Expect:'];
foreach (getallheaders() as $name => $value) {
    if (!in_array(strtolower($name), ['content-length', 'connection', 'accept-encoding', 'expect'], true)) {
        $headers[] = "{$name}: {$value}";
    }
}
$request = curl_init(getenv('HOTSPOT_SERVER') . $_SERVER['REQUEST_URI']);
assert($request !== false);
curl_setopt_array($request, [
    CURLOPT_CUSTOMREQUEST => $_SERVER['REQUEST_METHOD'],
    CURLOPT_HTTPHEADER => $headers,
    CURLOPT_RETURNTRANSFER => true,
    CURLOPT_FOLLOWLOCATION => false,
]);
if ($_SERVER['REQUEST_METHOD'] !== 'GET') {
    curl_setopt($request, CURLOPT_POSTFIELDS, (string) file_get_contents('php://input'));
}
curl_setopt($request, CURLOPT_HEADERFUNCTION, static function (mixed $of, string $line): int {
    if (
        preg_match('/^(content-length|connection|transfer-encoding|host|date|http\/)/i', $line) !== 1 &&
        trim($line) !== ''
    ) {
        header(trim($line), stripos($line, 'set-cookie') !== 0);
    }

    return strlen($line);
});
$body = (string) curl_exec($request);
http_response_code(curl_getinfo($request, CURLINFO_RESPONSE_CODE));
echo $mode === 'cut' ? substr($body, 0, intdiv(strlen($body), 2)) : $body;
