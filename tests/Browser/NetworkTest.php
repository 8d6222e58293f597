<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;

/** Networks with wrong answers, shared phones, wrong clocks: no tick is lost, doubled or assigned to another person. */
final class NetworkTest extends BrowserTestCase
{
    private const STEPS =
        "return [...document.querySelectorAll('[data-step]')].filter((e) => " .
        "!e.querySelector('input[type=checkbox]').checked).map((e) => e.dataset.step)";

    /** Number of entries in the device's store. */
    private const KEPT =
        'const done = arguments[0], open = indexedDB.open("ember-dusk"); open.onsuccess = () => { const count = ' .
        'open.result.transaction("unsent").objectStore("unsent").count(); count.onsuccess = () => { ' .
        'open.result.close(); done(count.result); }; }';

    private ?Hotspot $hotspot = null;

    protected function tearDown(): void
    {
        $this->hotspot?->stop();
        $this->hotspot = null;
        $this->browser()->offline(false);
        parent::tearDown();
    }

    public function test_what_something_in_between_answers_is_no_answer(): void
    {
        // Other loads of the page, such as a font, fail the same way while the relay cuts off.
        $this->expectedErrors = ['502 (Bad Gateway)', 'ERR_EMPTY_RESPONSE'];
        $this->hotspot = $hotspot = Hotspot::before($this->server()->url);
        $this->browser()->driver->get($hotspot->url . '/sign-in');
        $this->click(fn() => $this->find('form button.press'));
        $this->see('Jobs of');
        $this->browser()->driver->get($hotspot->url . '/jobs/1/build');
        $this->find('[data-step]');
        $done = $this->done();
        foreach (
            [
                'sign-in' => 'the network may require a sign-in',
                'gateway' => 'the network may require a sign-in',
                'cut' => 'No signal',
            ]
            as $mode => $said
        ) {
            $hotspot->does($mode);
            $step = $this->undone();
            $this->click(fn() => $this->find("[data-step=\"{$step}\"] input[type=checkbox]"));
            $this->see($said);
            $this->see('1 tick on this device');
            self::assertNotNull(
                $this->js("return document.querySelector('[data-step={$step}]')"),
                "{$mode}: the page stays as it is",
            );
            if ($mode === 'sign-in') {
                // Other pages do not come either, and say why; the open one stays.
                $this->click(fn() => $this->find('a[href$="/jobs/1/wire"]'));
                $this->see('The open page stays as it is');
                $this->click(fn() => $this->button('Understood'));
            }
            $hotspot->does('relay');
            $this->dontSee('1 tick on this device');
            $this->browser()->driver->navigate()->refresh();
            $this->find('[data-step]');
            self::assertSame(++$done, $this->done(), "{$mode}: the tick is kept, once");
        }
    }

    /** Over a relay that cuts answers off, also those of the service worker: pages open, ticks wait and arrive once, sign-out removes the pages. */
    public function test_a_job_that_was_taken_along_opens_and_takes_ticks_without_a_signal(): void
    {
        $this->expectedErrors = ['ERR_EMPTY_RESPONSE', 'ERR_FAILED', 'status of 502', 'status of 503', 'status of 409'];
        $hotspot = $this->takenAlong();
        $driver = $this->browser()->driver;
        $this->eventually(
            fn(): bool => $this->js('return navigator.serviceWorker.controller !== null') === true,
            'the service worker takes over',
        );
        $driver->get($hotspot->url . '/jobs/1/build');
        $this->find('[data-step]');
        $done = $this->done();
        foreach (['cut', 'gateway'] as $mode) {
            $hotspot->does($mode);
            $driver->get($hotspot->url . '/jobs/1/build');
            $this->see('No signal: this page was kept on this device');
            $step = $this->undone();
            // A press that the page takes away while it draws is pressed again.
            $this->eventually(function () use ($step): bool {
                $box = $this->find("[data-step=\"{$step}\"] input[type=checkbox]");
                if (!$box->isSelected()) {
                    $box->click();
                }

                return $box->isSelected();
            }, 'the step is not ticked');
            $this->see('not sent yet');
            // The browser asks before it leaves a page that is still writing; a driver does not.
            $this->eventually(fn(): bool => $driver->executeAsyncScript(self::KEPT) > 0, 'the tick is not stored');
            $driver->navigate()->refresh();
            $this->see('not sent yet');
            // A visit within the page loads the kept one.
            $this->click(fn() => $this->find('a[href$="/jobs/1/bench"]'));
            $this->eventually(
                fn(): bool => str_ends_with($driver->getCurrentURL(), '/jobs/1/bench'),
                'the kept page of Bench',
            );
            $this->see('No signal: this page was kept on this device');
            $driver->get($hotspot->url . '/jobs/1/wire');
            $this->see('This page was not taken along');
            $hotspot->does('relay');
            $driver->get($hotspot->url . '/jobs/1/build');
            $this->dontSee('No signal: this page was kept');
            $this->dontSee('not sent yet');
            $driver->navigate()->refresh();
            $this->find('[data-step]');
            self::assertSame(++$done, $this->done(), "{$mode}: the tick is kept, once");
        }
        $driver->get($hotspot->url . '/');
        $this->click(fn() => $this->button('Sign out'));
        $this->see('Sign in');
        self::assertSame(
            [],
            $driver->executeAsyncScript(
                'const done = arguments[0]; caches.keys().then((all) => done(all.filter((one) => one.startsWith("ember-taken"))))',
            ),
        );
    }

    /** An expired session takes the kept pages with it; they come again for the same person. */
    public function test_kept_pages_go_with_a_session_that_ends_and_come_again(): void
    {
        $hotspot = $this->takenAlong();
        $driver = $this->browser()->driver;
        $taken = fn(): mixed => $driver->executeAsyncScript(
            'const done = arguments[0]; caches.keys().then(async (all) => done((await Promise.all(' .
                'all.filter((one) => one.startsWith("ember-taken")).map(async (one) => (await (await caches.open(one)).keys()).length)' .
                ')).reduce((a, b) => a + b, 0)))',
        );
        $before = $taken();
        self::assertGreaterThan(3, $before);
        $driver->manage()->deleteAllCookies();
        $driver->get($hotspot->url . '/jobs/1/build');
        $this->find('form button.press');
        $this->eventually(fn(): bool => $taken() === 0, 'kept pages stay');
        $this->click(fn() => $this->find('form button.press'));
        $this->find('[data-step]');
        $this->eventually(fn(): bool => $taken() === $before, 'the pages do not come again');
        $driver->get($hotspot->url . '/');
        $this->find('[aria-label="Remove Pebble Fen Observatory from this device"]');
        // Thirty days later they open no more.
        $this->eventually(
            fn(): bool => $this->js('return navigator.serviceWorker.controller !== null') === true,
            'the service worker takes over',
        );
        $this->expectedErrors = ['status of 503', 'ERR_EMPTY_RESPONSE', 'ERR_FAILED', 'status of 502'];
        $driver->executeAsyncScript(
            'const done = arguments[0]; caches.keys().then(async (all) => { const store = await caches.open(all.find(' .
                '(one) => one.startsWith("ember-taken"))); const old = await store.match("/jobs/1/build"); ' .
                'const headers = new Headers(old.headers); headers.set("X-Ember-Now", Date.now() - 31 * 86400e3); ' .
                'await store.put("/jobs/1/build", new Response(await old.blob(), { headers })); done(); })',
        );
        $hotspot->does('cut');
        $driver->get($hotspot->url . '/jobs/1/build');
        $this->see('This page was not taken along');
        $driver->get($hotspot->url . '/jobs/1/bench');
        $this->see('No signal: this page was kept on this device');
        $hotspot->does('relay');
        // A kept page asks for the server until it answers, and the relay stops with the test.
        $this->dontSee('No signal: this page was kept');
        $driver->get('about:blank');
    }

    /** Notes typed without a signal outlive the page and the tab; where another person has changed the same meanwhile, both are shown with the name. */
    public function test_wall_notes_that_were_typed_without_a_signal_are_saved_later(): void
    {
        $this->expectedErrors = ['ERR_EMPTY_RESPONSE', 'ERR_FAILED', 'status of 502', 'status of 503', 'status of 409'];
        $hotspot = $this->takenAlong();
        $driver = $this->browser()->driver;
        foreach (['nobody else', 'another person'] as $n => $who) {
            $this->eventually(
                fn(): bool => $this->js('return navigator.serviceWorker.controller !== null') === true,
                'the service worker takes over',
            );
            $hotspot->does('gateway');
            $driver->get($hotspot->url . '/jobs/1/survey');
            $this->see('No signal: this page was kept on this device');
            $this->find('textarea')->sendKeys("\n# typed in the van {$n}");
            $this->see('Not saved yet');
            $driver->get('about:blank');
            $driver->get($hotspot->url . '/jobs/1/build');
            $this->see('Wall notes of Lecture room, Pebble Fen Observatory: not saved yet');
            $this->assertAccessible('a page with notes that wait');
            if ($n === 1) {
                // The same person at a desk, past the relay.
                $driver->get($this->server()->url . '/jobs/1/survey');
                $this->find('textarea')->sendKeys("\n# changed at the desk");
                $this->eventually(
                    fn(): bool => str_contains($this->newestNotes(), 'changed at the desk'),
                    'the notes of the desk are not saved',
                );
            }
            $hotspot->does('relay');
            $driver->get($hotspot->url . '/jobs/1/build');
            $this->click(fn() => $driver->findElement(WebDriverBy::partialLinkText('Save them there')));
            if ($n === 0) {
                $this->eventually(
                    fn(): bool => str_contains($this->newestNotes(), 'typed in the van 0'),
                    'the notes are not saved',
                );
                $this->dontSee('not saved yet');
            } else {
                $this->see('changed elsewhere in the meantime by Demo installer');
                $this->see('typed in the van 1');
                $this->assertAccessible('notes of two places');
                self::assertStringContainsString('changed at the desk', $this->newestNotes());
            }
        }
    }

    public function test_another_person_on_the_same_device_does_not_send_foreign_presses(): void
    {
        $this->expectedErrors = ['ERR_INTERNET_DISCONNECTED', '401 (Unauthorized)', 'status of 419'];
        $this->server()->artisan(
            'ember:account',
            'Second installer',
            'second@firm.example',
            '--crew=Saltmarsh Lighting',
        );
        $password = password_hash('a long enough word', PASSWORD_BCRYPT, ['cost' => 4]);
        $this->server()->query("update users set password = '{$password}' where email like 'second@%' returning id");
        $this->signIn();
        $this->open('/jobs/1/build');
        $this->find('[data-step]');
        $done = $this->done();
        $kept = count($this->server()->query('select id from ticks'));
        $this->browser()->offline(true);
        $step = $this->undone();
        // A press that the page takes away while it draws is pressed again.
        $this->eventually(function () use ($step): bool {
            $box = $this->find("[data-step=\"{$step}\"] input[type=checkbox]");
            if (!$box->isSelected()) {
                $box->click();
            }

            return $this->find("[data-step=\"{$step}\"] input[type=checkbox]")->isSelected();
        }, 'the step is not ticked');
        $this->see('1 tick on this device');
        $this->forget();
        $this->browser()->offline(false);
        $this->open('/sign-in');
        $this->see('1 entry of Demo installer on this device');
        $this->enter('second@firm.example', 'a long enough word');
        $this->see('Jobs of');
        $this->see('1 entry of Demo installer on this device');
        $this->assertAccessible('home with a tick that waits');
        $this->open('/jobs/1/build');
        $this->see('1 entry of Demo installer on this device');
        self::assertSame($done, $this->done());
        $this->open('/shelf');
        $this->see('1 entry of Demo installer on this device');
        $this->forget();
        $this->signIn();
        $this->eventually(
            fn(): bool => $this->server()->query(
                'select distinct name from ticks join users on users.id = user_id where ticks.id = (select max(id) from ticks)',
            ) === ['Demo installer'] && count($this->server()->query('select id from ticks')) === $kept + 1,
            'the tick is not sent',
        );
        $this->dontSee('on this device is not sent');
        $this->open('/jobs/1/build');
        $this->find('[data-step]');
        self::assertSame($done + 1, $this->done());
    }

    /** Going back shows the current state; after signing out it shows the sign-in page and nothing of a job. */
    public function test_back_shows_the_newest_state_and_nothing_after_signing_out(): void
    {
        $this->signIn();
        $this->open('/jobs/1/build');
        $this->find('[data-step]');
        $done = $this->done();
        $step = $this->undone();
        $this->click(fn() => $this->find("[data-step=\"{$step}\"] input[type=checkbox]"));
        $this->eventually(fn(): bool => $this->done() === $done + 1, 'the step is not ticked');
        $this->click(fn() => $this->find('a[aria-label="All jobs"]'));
        $this->see('Jobs of');
        $this->browser()->driver->navigate()->back();
        $this->find('[data-step]');
        $this->eventually(fn(): bool => $this->done() === $done + 1, 'the old state is shown');
        $this->click(fn() => $this->find('a[aria-label="All jobs"]'));
        $this->see('Jobs of');
        $this->click(fn() => $this->button('Sign out'));
        $this->eventually(fn(): bool => $this->path() === '/sign-in', 'not signed out');
        foreach (range(1, 3) as $_) {
            $this->browser()->driver->navigate()->back();
            $this->eventually(fn(): bool => $this->path() === '/sign-in', 'a page from before is shown');
            self::assertStringNotContainsString('Pebble Fen', $this->text());
        }
    }

    public function test_a_device_that_is_an_hour_slow_does_not_lose_to_older_ticks(): void
    {
        $this->signIn();
        $this->open('/jobs/1/build');
        $this->find('[data-step]');
        $step = $this->undone();
        $done = $this->done() + 1;
        $this->click(fn() => $this->find("[data-step=\"{$step}\"] input[type=checkbox]"));
        $this->eventually(
            fn(): bool => $this->server()->query("select done from ticks where step = '{$step}'") !== [],
            'the tick does not arrive',
        );
        $this->browser()->clock(-3600);
        $this->open('/jobs/1/build');
        $this->click(fn() => $this->find("[data-step=\"{$step}\"] input[type=checkbox]"));
        $this->eventually(
            fn(): bool => count($this->server()->query("select done from ticks where step = '{$step}'")) === 2,
            'the second press does not arrive',
        );
        $this->browser()->clock(0);
        $this->open('/jobs/1/build');
        $this->find('[data-step]');
        self::assertSame($done - 1, $this->done(), 'the later press holds');
    }

    /** A relay before the server, with the demo job taken along past it. */
    private function takenAlong(): Hotspot
    {
        $this->hotspot = $hotspot = Hotspot::before($this->server()->url);
        // One session for both: the port is no part of a cookie.
        $this->signIn();
        $this->browser()->driver->get($hotspot->url . '/');
        $this->see('Jobs of');
        $this->click(fn() => $this->find('[aria-label="Take along Pebble Fen Observatory"]'));
        $this->find('[aria-label="Remove Pebble Fen Observatory from this device"]');

        return $hotspot;
    }

    /** Wall notes of the first place as the server has them. */
    private function newestNotes(): string
    {
        $said = $this->js(
            'const ask = new XMLHttpRequest(); ask.open("GET", "/jobs/1/state?stage=survey", false); ' .
                'ask.setRequestHeader("Accept", "application/json"); ask.send(); return ask.responseText',
        );

        return is_string($said) ? $said : '';
    }

    private function undone(): string
    {
        $steps = $this->js(self::STEPS);
        self::assertIsArray($steps);
        if (is_string($steps[0] ?? null)) {
            return $steps[0];
        }

        return self::fail('everything is done');
    }

    private function done(): int
    {
        return count(
            array_filter(
                $this->browser()->driver->findElements(WebDriverBy::cssSelector('[data-step] input[type=checkbox]')),
                static fn($e): bool => $e->isSelected(),
            ),
        );
    }

    private function enter(string $email, string $password): void
    {
        $this->find('input[type=email]')->sendKeys($email);
        $this->find('input[type=password]')->sendKeys($password);
        $this->click(fn() => $this->button('Sign in'));
    }

    /**
     * Leaves the page and clears its session. A page that is being left is no longer cut off and may send once more: it has no session by then. An
     * answer that was under way may bring a cookie back: cookies are cleared again.
     */
    private function forget(): void
    {
        $tools = new ChromeDevToolsDriver($this->browser()->driver);
        $tools->execute('Network.clearBrowserCookies');
        $this->browser()->driver->get('about:blank');
        $tools->execute('Network.clearBrowserCookies');
    }
}
