<?php

declare(strict_types=1);

namespace Tests\Feature;

use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Headers and markup by which a browser runs nothing but this server's own: OWASP ASVS 4.0, 14.4 (from memory). */
final class HeadersTest extends TestCase
{
    use RefreshDatabase;

    protected function jobFile(): string
    {
        return Demo::shipped('observatory');
    }

    public function test_every_kind_of_answer_has_them(): void
    {
        $job = $this->job($this->crew());
        $this->assertGuarded($this->get('/sign-in')->assertOk());
        $this->assertGuarded($this->get('/no-such-page')->assertNotFound());
        $this->assertGuarded($this->get("/jobs/{$job->id}/wire")->assertRedirect());
        $this->actingAs($this->user($job->crew));
        $this->assertGuarded($this->get("/jobs/{$job->id}/wire")->assertOk());
        $this->assertGuarded($this->getJson("/jobs/{$job->id}/state?stage=wire")->assertOk());
        $this->assertGuarded($this->get("/jobs/{$job->id}/export")->assertOk());
        $this->assertGuarded($this->postJson("/jobs/{$job->id}/change", [])->assertUnprocessable());
    }

    /** A nonce permits scripts and styles of one answer only. */
    public function test_a_nonce_is_used_once(): void
    {
        $nonces = [];
        foreach (range(1, 2) as $_) {
            $answer = $this->get('/sign-in');
            preg_match("/'nonce-([^']+)'/", (string) $answer->headers->get('Content-Security-Policy'), $found);
            $nonce = $found[1] ?? '';
            self::assertStringContainsString("nonce=\"{$nonce}\"", (string) $answer->getContent());
            $nonces[$nonce] = strlen($nonce);
        }
        self::assertCount(2, $nonces);
        self::assertGreaterThanOrEqual(32, min($nonces));
    }

    public function test_pages_have_no_styles_scripts_or_handlers_without_it(): void
    {
        $job = $this->job($this->crew());
        $pages = ['/sign-in', '/no-such-page'];
        $texts = array_map(fn(string $p): string => (string) $this->get($p)->getContent(), $pages);
        $this->actingAs($this->user($job->crew));
        foreach (['wire', 'sheet', 'van', 'day-sheets', 'quote'] as $page) {
            $texts[] = (string) $this->get("/jobs/{$job->id}/{$page}")
                ->assertOk()
                ->getContent();
        }
        foreach ($texts as $text) {
            // Data for the page is JSON in an element that no browser runs.
            $html = (string) preg_replace(
                '#<script data-page="app" type="application/json">[^<]*</script>#',
                '',
                $text,
            );
            self::assertSame(0, preg_match('/<[^>]+ style="|<[^>]+ on[a-z]+="/', $html));
            self::assertSame(0, preg_match('/<(style|script)(?![^>]* nonce="[^"]+")[^>]*>/', $html));
        }
    }

    public function test_over_tls_the_browser_is_asked_to_stay_there(): void
    {
        self::assertNull($this->get('/sign-in')->headers->get('Strict-Transport-Security'));
        self::assertSame(
            'max-age=31536000',
            $this->get('https://localhost/sign-in')->headers->get('Strict-Transport-Security'),
        );
    }

    public function test_the_session_cookie_is_out_of_reach_of_scripts_and_of_other_sites(): void
    {
        $cookie = $this->get('/sign-in')->getCookie((string) config('session.cookie'), decrypt: false);
        self::assertSame([true, 'lax'], [$cookie?->isHttpOnly(), $cookie?->getSameSite()]);
    }

    /** @param  TestResponse<Response>  $answer */
    private function assertGuarded(TestResponse $answer): void
    {
        $policy = (string) $answer->headers->get('Content-Security-Policy');
        foreach (
            [
                "default-src 'self'",
                "object-src 'none'",
                "base-uri 'none'",
                "form-action 'self'",
                "frame-ancestors 'none'",
            ]
            as $part
        ) {
            self::assertStringContainsString($part, $policy);
        }
        self::assertStringNotContainsString('unsafe', $policy);
        self::assertStringNotContainsString('*', $policy);
        self::assertSame(
            ['DENY', 'nosniff', 'same-origin'],
            [
                $answer->headers->get('X-Frame-Options'),
                $answer->headers->get('X-Content-Type-Options'),
                $answer->headers->get('Referrer-Policy'),
            ],
        );
        self::assertNotNull($answer->headers->get('Permissions-Policy'));
    }
}
