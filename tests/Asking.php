<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Job;
use Closure;
use Illuminate\Testing\TestResponse;
use RuntimeException;
use Symfony\Component\HttpFoundation\Response;

/** Requests by one of those who write, and what they were answered. */
trait Asking
{
    /**
     * @param  Closure(string, string, array<string, mixed>): TestResponse<Response>  $ask
     * @param  Job  $job  that all work on
     * @param  Job  $own of this process only
     */
    public function __construct(
        private readonly Closure $ask,
        private readonly Job $job,
        private readonly Job $own,
        private readonly string $who,
    ) {}

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function ask(string $method, string $path, array $body = []): TestResponse
    {
        return ($this->ask)($method, $path, $body);
    }

    /** @param  array<string, mixed>  $body */
    private function after(string $method, string $path, array $body = []): self
    {
        $this->said($method, $path, $body, '');

        return $this;
    }

    /** @param  array<string, mixed>  $body */
    private function said(string $method, string $path, array $body, string $key): int
    {
        $response = $this->ask($method, $path, $body);
        if (!$response->isSuccessful()) {
            throw new RuntimeException(
                "{$method} {$path} answered {$response->getStatusCode()}: " .
                    substr((string) $response->getContent(), 0, 300),
            );
        }
        $said = $key === '' ? 0 : $response->json($key);
        if (!is_int($said)) {
            throw new RuntimeException("{$method} {$path} said no {$key}.");
        }

        return $said;
    }
}
