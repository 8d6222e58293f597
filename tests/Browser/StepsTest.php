<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;
use PHPUnit\Framework\Attributes\Group;

/** Build's steps: moved, ticked, waited for, with and without a signal. */
final class StepsTest extends BrowserTestCase
{
    use WorkHands;

    /** Shows the day of a step as a picture. */
    private function openDay(string $step): void
    {
        $this->find('[data-step]');
        $this->blur();
        $this->press('t');
        $this->click(fn() => $this->find("[data-step=\"{$step}\"] button[aria-expanded]"));
        $this->find("[data-bar=\"{$step}\"]");
    }

    #[Group('clock')]
    public function test_a_step_is_moved_and_its_cost_seen(): void
    {
        $this->open('/jobs/1/build');
        $bar = fn(string $step) => $this->find("[data-bar=\"{$step}\"]");
        $this->openDay('tidy-lecture');
        $bar('tidy-lecture')->sendKeys([Key::ARROW_RIGHT, Key::ARROW_RIGHT, Key::ARROW_RIGHT, Key::ARROW_RIGHT]);
        $this->see('everything is done');
        $this->see('then ');
        $this->assertAccessible('build with a move');
        $bar('tidy-lecture')->sendKeys([Key::ENTER]);
        $this->see('moved here');
        $this->openDay('second-cove');
        $bar('second-cove')->sendKeys([
            Key::ARROW_UP,
            Key::ARROW_LEFT,
            Key::ARROW_LEFT,
            Key::ARROW_LEFT,
            Key::ARROW_LEFT,
            Key::ARROW_LEFT,
            Key::ARROW_LEFT,
            Key::ARROW_LEFT,
        ]);
        $this->see('comes before it');
        $bar('second-cove')->sendKeys([Key::ESCAPE]);
        $this->dontSee('comes before it');
        $this->blur();
        $this->press('v');
        $this->click(fn() => $this->button('Add visit'));
        $this->assertAccessible('visits');
        $this->click(fn() => $this->button('Save visits'));
        $this->see('visit 2');
    }

    public function test_build_works_by_keyboard_alone_at_night(): void
    {
        $this->open('/jobs/1/build');
        $this->find('[data-day]');
        $this->press('d');
        $this->assertAccessible('build by night');
        // The next day of work as a picture, and all days again.
        $this->press('t');
        $this->find('[data-bar]');
        $this->assertAccessible('a day of build by night');
        $this->press('a');
        $this->find('[data-day]');
        $this->press('n');
        $step = $this->js('return document.activeElement.closest("[data-step]").dataset.step');
        self::assertIsString($step);
        $this->press(' ');
        $this->eventually(
            fn(): bool => $this->js("return document.querySelector('[data-step={$step}] input')?.checked") === true,
            'the step is not done',
        );
        // It stays where it was pressed. Another time is written, and kept.
        $this->find("[data-step={$step}] input.field")->sendKeys([Key::CONTROL, 'a', Key::NULL, '33', Key::TAB]);
        usleep(300_000);
        $this->dontSee('not sent yet');
        $this->browser()->driver->navigate()->refresh();
        $this->find('[data-day]');
        $this->eventually(
            fn(): bool => $this->js("return document.querySelector('[data-step={$step}] input.field')?.value") === '33',
            'the minutes are not kept',
        );
        $this->blur();
        $this->press('v');
        $this->click(fn() => $this->find('[role=dialog] select option:nth-child(2)'));
        $this->click(fn() => $this->button('Save visits'));
        $this->see('two people');
        $this->open('/jobs/1/parts');
        $this->find('[data-part]');
        $this->assertAccessible('parts by night');
        $this->press('d');
    }

    public function test_a_step_is_moved_on_a_phone_and_let_wait_for_another(): void
    {
        $this->expectedErrors = ['build/wait - Failed to load resource: the server responded with a status of 422'];
        $this->browser()->size(390, 844);
        $this->open('/jobs/1/build');
        $line = '[data-step="tidy-lecture"]';
        $this->click(fn() => $this->find("{$line} button[aria-expanded]"));
        $day = (string) $this->find("{$line} input[type=date]")->getAttribute('value');
        $this->js(
            "const f = document.querySelector('[data-step=tidy-lecture] form'); f.day.value = '{$day}'; f.time.value = '15:50'; f.requestSubmit()",
        );
        $this->see('everything is done');
        $this->click(fn() => $this->button('Move here'));
        $this->see('moved here');
        self::assertSame(
            390,
            $this->js('return document.documentElement.scrollWidth'),
            'nothing is wider than the phone',
        );
        // Pressed until it is so: the page may be redrawn under the thumb.
        $this->eventually(function (): bool {
            $this->js(
                "[...document.querySelectorAll('button')].find((b) => b.textContent.trim() === 'Use the planned time')?.click()",
            );

            return !str_contains($this->text(), 'moved here');
        }, 'the plan does not place it again');
        // A wait in a circle is refused at its place, another is kept and taken away again.
        $dry = '[data-step="second-cove"]';
        $this->js("document.querySelector('[data-step=second-cove] button[aria-expanded]').click()");
        $this->choose("{$dry} select", 'diffuser-cove');
        $this->see('in a circle');
        // Repeats until chosen: a refusal may redraw the page, and a saved choice is no longer offered.
        $this->eventually(function () use ($dry): bool {
            $this->js(
                "const s = document.querySelector('{$dry} select');" .
                    "if (s?.querySelector('option[value=\"isolate-place4\"]')) { s.value = 'isolate-place4'; " .
                    "s.dispatchEvent(new Event('change', { bubbles: true })); }",
            );

            return str_contains($this->text(), 'Do not wait for it');
        }, 'the wait is not kept');
        $this->click(fn() => $this->button('Do not wait for it'));
        $this->eventually(fn(): bool => !str_contains($this->text(), 'Do not wait for it'), 'the wait is still there');
        $this->browser()->size(1280, 800);
    }

    /** A thumb that presses twice ticks one step: the row stays under it, and the second press is the same press. */
    public function test_two_quick_presses_tick_one_step_and_undo_takes_it_back(): void
    {
        $this->browser()->size(390, 844);
        $this->open('/jobs/1/build');
        $this->find('[data-step]');
        $rows = 'return [...document.querySelectorAll("[data-step]")].slice(0, 3).map((e) => e.dataset.step)';
        $before = $this->js($rows);
        self::assertIsArray($before);
        $ticks = count($this->server()->query('select id from ticks'));
        $box = "document.querySelector('[data-step=\"{$before[0]}\"] input[type=checkbox]')";
        $this->js("{$box}.click(); setTimeout(() => {$box}.click(), 300)");
        $this->eventually(
            fn(): bool => count($this->server()->query('select id from ticks')) === $ticks + 1 &&
                $this->js("return {$box}.checked") === true,
            'the step is not ticked',
        );
        $this->quiet();
        self::assertSame($before, $this->js($rows), 'the rows stand where they stood');
        self::assertCount($ticks + 1, $this->server()->query('select id from ticks'));
        $this->blur();
        $this->browser()
            ->driver->getKeyboard()
            ->sendKeys([Key::CONTROL, 'z', Key::NULL]);
        $this->eventually(
            fn(): bool => $this->server()->query('select done from ticks order by id desc limit 1') === ['0'],
            'undo does not take the tick back',
        );
        $this->eventually(fn(): bool => $this->js("return {$box}.checked") === false, 'the row is still ticked');
        $this->browser()->size(1280, 800);
    }

    #[Group('clock')]
    public function test_ticks_without_a_signal_arrive_once_when_there_is_one(): void
    {
        $this->expectedErrors = ['ERR_INTERNET_DISCONNECTED'];
        $this->firstOption(2, 'port');
        $this->browser()->size(390, 844);
        $this->open('/jobs/2/build');
        $this->find('[data-step]');
        $steps = array_slice(
            array_map(
                static fn($e): string => (string) $e->getAttribute('data-step'),
                $this->browser()->driver->findElements(WebDriverBy::cssSelector('[data-step]')),
            ),
            0,
            3,
        );
        if ($steps === []) {
            self::fail('the narrowboat has no steps');
        }
        $this->assertAccessible('build on a phone');
        self::assertSame(
            390,
            $this->js('return document.documentElement.scrollWidth'),
            'nothing is wider than the phone',
        );
        $this->signal(false);
        foreach ($steps as $step) {
            $this->click(fn() => $this->find("[data-step=\"{$step}\"] input[type=checkbox]"));
        }
        $this->see('No signal: 3 ticks on this device');
        $this->afterBounce();
        $this->click(fn() => $this->find("[data-step=\"{$steps[2]}\"] input[type=checkbox]"));
        $this->see('No signal: 4 ticks on this device');
        $this->signal(true);
        $this->dontSee('No signal');
        $this->see('2of ');
        $this->dontSee('not sent yet');
        // Once more, with the page closed before the signal is back.
        $this->signal(false);
        $this->afterBounce();
        $this->click(fn() => $this->find("[data-step=\"{$steps[2]}\"] input[type=checkbox]"));
        $this->see('No signal: 1 tick on this device');
        $this->signal(true, false);
        $this->open('/jobs/2/build');
        $this->see('3of ');
        $this->dontSee('No signal');
        $this->browser()->size(1280, 800);
    }

    /** A second press on a row within a second counts once: the person who means it waits that long. */
    private function afterBounce(): void
    {
        usleep(1_100_000);
    }

    /** Without a signal nothing reaches the server; the page gets the online event, as on a phone. */
    private function signal(bool $there, bool $told = true): void
    {
        $tools = new ChromeDevToolsDriver($this->browser()->driver);
        $tools->execute('Network.enable');
        if ($there && !$told) {
            // An empty page in between closes everything open.
            $this->browser()->driver->get('about:blank');
        }
        $tools->execute('Network.emulateNetworkConditions', [
            'offline' => !$there,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
    }
}
