<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;

/**
 * The network is cut at random moments, before a press, between press and answer, and while the page sends what waited: every press arrives once.
 * EMBER_CUTS=100 takes a hundred.
 */
final class CutsTest extends BrowserTestCase
{
    private const CUTS = 5;

    /** Milliseconds of a slow line: long enough to be cut in the middle. */
    private const SLOW = 120;

    /** A second press on a row within a second counts once. */
    private const BOUNCE = 1.2;

    public function test_no_press_is_lost_or_doubled(): void
    {
        $this->expectedErrors = ['ERR_INTERNET_DISCONNECTED', 'ERR_NETWORK', 'ERR_FAILED', 'status of 409'];
        mt_srand(20261202);
        $cuts = (int) (getenv('EMBER_CUTS') ?: self::CUTS);
        $this->signIn();
        $this->open('/jobs/1/build');
        $this->find('[data-step]');
        $before = count($this->server()->query('select id from ticks'));
        $state = $this->state();
        self::assertGreaterThan(20, count($state));
        $pressed = [];
        $presses = 0;
        for ($n = 0; $n < $cuts; $n++) {
            $moment = mt_rand(0, 2);
            if ($moment === 0) {
                $this->line(true);
            }
            foreach (range(1, mt_rand(1, 3)) as $_) {
                $step = $this->rested($state, $pressed);
                $this->tick($step);
                $state[$step] = !$state[$step];
                $pressed[$step] = microtime(true);
                $presses++;
                usleep(mt_rand(0, 2 * self::SLOW) * 1000);
            }
            if ($moment === 1) {
                $this->line(true);
                usleep(mt_rand(0, 400) * 1000);
            }
            // Cut again while what waited is being sent.
            $this->line(false);
            usleep(mt_rand(0, 2 * self::SLOW) * 1000);
            if ($moment === 2) {
                $this->line(true);
                usleep(mt_rand(0, 300) * 1000);
                $this->line(false);
            }
        }
        $this->eventually(
            fn(): bool => count($this->server()->query('select id from ticks')) >= $before + $presses,
            'a press has not arrived',
        );
        $this->dontSee('on this device is not sent');
        self::assertCount($before + $presses, $this->server()->query('select id from ticks'), 'none is there twice');
        self::assertSame($state, $this->state());
        $this->browser()->driver->navigate()->refresh();
        $this->find('[data-step]');
        $shown = $this->state();
        ksort($shown);
        ksort($state);
        self::assertSame($state, $shown, 'and so it stays');
    }

    /** @return array<string, bool> whether each step is ticked */
    private function state(): array
    {
        $state = $this->js(
            "return Object.fromEntries([...document.querySelectorAll('[data-step]')].map((e) => " .
                "[e.dataset.step, e.querySelector('input[type=checkbox]').checked]))",
        );
        self::assertIsArray($state);

        /** @var array<string, bool> */
        return $state;
    }

    /**
     * A step that was not pressed just now.
     *
     * @param  array<string, bool>  $state
     * @param  array<string, float>  $pressed
     */
    private function rested(array $state, array $pressed): string
    {
        $steps = array_values(
            array_filter(
                array_keys($state),
                static fn(string $s): bool => microtime(true) - ($pressed[$s] ?? 0.0) > self::BOUNCE,
            ),
        );

        return $steps[mt_rand(0, count($steps) - 1)];
    }

    private function tick(string $step): void
    {
        $this->js("document.querySelector('[data-step=\"{$step}\"] input[type=checkbox]').click()");
    }

    /** A slow line, or none. */
    private function line(bool $cut): void
    {
        $tools = new ChromeDevToolsDriver($this->browser()->driver);
        $tools->execute('Network.enable');
        $tools->execute('Network.emulateNetworkConditions', [
            'offline' => $cut,
            'latency' => $cut ? 0 : self::SLOW,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
    }

    protected function tearDown(): void
    {
        $this->browser()->offline(false);
        parent::tearDown();
    }
}
