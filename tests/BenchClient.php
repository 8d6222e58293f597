<?php

declare(strict_types=1);

namespace Tests;

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;

/** The person who is signed in to the demo over HTTP, as a browser would be. */
final class BenchClient
{
    public readonly Client $client;

    private readonly CookieJar $jar;

    public function __construct(string $url)
    {
        $this->jar = new CookieJar();
        $this->client = new Client(['base_uri' => $url, 'cookies' => $this->jar, 'http_errors' => true]);
        $this->client->get('/sign-in');
        $this->post('/sign-in/demo', []);
    }

    public function token(): string
    {
        return urldecode((string) $this->jar->getCookieByName('XSRF-TOKEN')?->getValue());
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<array-key, mixed>
     */
    public function post(string $path, array $body): array
    {
        $response = $this->client->post($path, [
            'json' => $body,
            'headers' => ['X-XSRF-TOKEN' => $this->token(), 'Accept' => 'application/json'],
        ]);

        return (array) json_decode((string) $response->getBody(), true);
    }
}
