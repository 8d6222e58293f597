<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;

/** Parts and Build by hand: from the plan to quote, packed van, labels and day plan, moves on the lanes, ticks without a signal. */
final class WorkTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        $this->signIn();
    }

    public function test_the_observatory_goes_from_plan_to_packed_van(): void
    {
        $this->open('/jobs/1/parts');
        $this->see('no fewer lengths would do');
        $this->see('without a strip yet');
        $this->choose('[data-part="cable-3x15"] select', 'ordered');
        $day = Browser::day(14);
        // Typed digit by digit, as a hand does: nothing is sent or lost half way.
        $field = '[data-part="cable-3x15"] input[type=date]';
        $this->find($field)->sendKeys(str_split(date('mdY', (int) strtotime($day))));
        self::assertSame(
            $day,
            $this->js("return document.querySelector('[data-part=cable-3x15] input[type=date]').value"),
        );
        $this->find($field)->sendKeys([Key::ENTER]);
        $this->eventually(
            fn(): bool => $this->js(
                "return document.querySelector('[data-part=\"cable-3x15\"] input[type=date]')?.value",
            ) === $day,
            'the day is not kept',
        );
        $this->see('blocks Cove: lay cables');
        $this->working('[data-part="profile-flat"] [data-figure="Cost"]', ['(b - o) * p', '130.00']);
        $this->working('[data-part="connector-solder"] [data-figure="Plan asks for"]', [
            'a1 + a2 + a3',
            'its strip is joined at 3 places',
        ]);
        $this->find('[data-part="connector-solder"] input')->sendKeys([Key::CONTROL, 'a', Key::NULL, '6', Key::TAB]);
        $this->eventually(
            fn(): bool => str_contains(
                $this->find('[data-part="connector-solder"] [data-figure="Buy"]')->getText(),
                '25',
            ),
            'six to spare are not counted',
        );
        $this->blur();
        $this->press('m');
        $this->choose('[data-part="hub-zigbee"] select', 'here');
        $this->eventually(
            fn(): bool => $this->browser()->driver->findElements(
                WebDriverBy::cssSelector('[data-part="hub-zigbee"]'),
            ) === [],
            'what is in hand is not missing',
        );
        $this->assertAccessible('parts');
        $this->blur();
        $this->press('q');
        $this->click(fn() => $this->button('Note it as given'));
        $this->see('Nothing has changed since.');
        // What other terms would change stands there before they are kept.
        $this->find('[name="hourRate"]')->sendKeys([Key::CONTROL, 'a', Key::NULL, '50']);
        $this->see('The quote would move by');
        $this->see('Laying cables');
        $this->assertAccessible('quote');
        $this->click(fn() => $this->button('Keep these'));
        $this->eventually(
            fn(): bool => !str_contains($this->find('[role="dialog"]')->getText(), 'would move by') &&
                str_contains($this->find('[role="dialog"]')->getText(), 'What has changed since'),
            'the new rate is not kept beside what was given',
        );
        $this->press(Key::ESCAPE);
        $this->open('/jobs/1/van');
        $this->see('Flat profile, 2 m');
        $this->see('10 lengths');
        $this->open('/jobs/1/labels');
        $this->see('16 labels on 1 sheet');
        $this->eventually(
            fn(): bool => count($this->browser()->driver->findElements(WebDriverBy::cssSelector('.code svg'))) === 16,
            'the codes are not drawn',
        );
        $this->assertAccessible('labels');
        $this->open('/jobs/1/build');
        $this->see('Waits for 3 x 1.5 mm² flexible');
        $this->see('is on the way');
        $this->see('Meanwhile: ');
        $this->working('[data-step="dry-cove"] [data-figure="Minutes"]', ['u * t * f', 'not timed yet']);
        $this->click(fn() => $this->find('[data-step="isolate-lecture"] input[type=checkbox]'));
        $this->see('1of 21');
        $this->see('took');
        $this->assertAccessible('build');
        $this->open('/jobs/1/day-sheets');
        $this->see('Cove: dry run');
        $this->see('tape measure');
    }

    public function test_one_piece_offcuts_and_how_a_run_is_made_up(): void
    {
        $this->open('/jobs/1/parts');
        $this->see('no fewer lengths would do');
        $this->press('w');
        $this->choose('[data-making="cove"] [data-field="length"]', 'never');
        $this->see('is to be in one piece');
        $this->assertAccessible('parts with a run’s making');
        $this->click(fn() => $this->button('Allow joints in Cove'));
        $this->dontSee('is to be in one piece');
        $this->click(fn() => $this->button('Offcuts in the van'));
        $this->find('[role=dialog] input')->sendKeys(['4,5', Key::ENTER]);
        $this->see('4.50');
        $this->assertAccessible('offcuts');
        $this->press(Key::ESCAPE);
        // 18 m: three reels of five and the offcut of four and a half.
        $this->see('of 5.00 m, 1 offcut');
        $this->working('figure [data-figure="Bought"]', ['(P - O) / L + r', 'No fewer would do']);
        self::assertStringContainsString('3', $this->find('figure [data-figure="Bought"]')->getText());
        $this->choose('[data-part="strip-tunable-24"] select', 'packed');
        $this->see('1of 14');
        $this->open('/jobs/1/van');
        $this->see('offcut of 4.50 m');
    }

    public function test_the_narrowboat_goes_from_plan_to_quote_labels_and_day_plan(): void
    {
        $this->open('/jobs/2/kit');
        $this->see('options side by side');
        $this->see('Take A over');
        foreach (['Port', 'Star'] as $run) {
            $this->click(fn() => $this->button($run));
            $this->click(fn() => $this->button('Take A over'));
            $this->dontSee("{$run} lacks a strip");
        }
        $this->open('/jobs/2/parts');
        $this->see('no fewer lengths would do');
        $this->see('Clear silicone');
        foreach ($this->browser()->driver->findElements(WebDriverBy::cssSelector('[data-part]')) as $row) {
            $part = (string) $row->getAttribute('data-part');
            $this->choose("[data-part=\"{$part}\"] select", 'packed');
            $this->eventually(
                fn(): bool => $this->js("return document.querySelector('[data-part=\"{$part}\"] select')?.value") ===
                    'packed',
                "{$part} is not packed",
            );
        }
        $this->see('0lines');
        $this->assertAccessible('parts of the narrowboat');
        $this->blur();
        $this->press('q');
        $this->see('As the job stands');
        $this->press(Key::ESCAPE);
        $this->open('/jobs/2/van');
        $this->see('packed');
        $this->open('/jobs/2/labels');
        $this->see('labels on');
        $this->open('/jobs/2/build');
        $this->see('seal the ends with silicone');
        $this->see('cures');
        $this->open('/jobs/2/day-sheets');
        $this->see('Port: dry run');
    }

    public function test_a_step_is_moved_and_its_cost_seen(): void
    {
        $this->open('/jobs/1/build');
        $bar = fn() => $this->find('[data-bar="tidy-lecture"]');
        $bar()->sendKeys([Key::ARROW_RIGHT, Key::ARROW_RIGHT, Key::ARROW_RIGHT, Key::ARROW_RIGHT]);
        $this->see('everything is done');
        $this->see('then ');
        $this->assertAccessible('build with a move');
        $bar()->sendKeys([Key::ENTER]);
        $this->see('moved here');
        $this->find('[data-bar="second-cove"]')->sendKeys([
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
        $this->find('[data-bar="second-cove"]')->sendKeys([Key::ESCAPE]);
        $this->dontSee('comes before it');
        $this->blur();
        $this->press('v');
        $this->click(fn() => $this->button('One more visit'));
        $this->assertAccessible('visits');
        $this->click(fn() => $this->button('Keep the visits'));
        $this->see('visit 2');
    }

    public function test_build_goes_by_the_keyboard_alone_by_night_too(): void
    {
        $this->open('/jobs/1/build');
        $this->find('[data-bar]');
        $this->press('d');
        $this->assertAccessible('build by night');
        $this->press('n');
        $step = $this->js('return document.activeElement.closest("[data-step]").dataset.step');
        self::assertIsString($step);
        $this->press(' ');
        $this->eventually(
            fn(): bool => $this->js(
                "return document.querySelector('[aria-labelledby=done] [data-step={$step}] input')?.checked",
            ) === true,
            'the step is not done',
        );
        // Another time is written, and kept.
        $this->find("[aria-labelledby=done] [data-step={$step}] input.field")->sendKeys([
            Key::CONTROL,
            'a',
            Key::NULL,
            '33',
            Key::TAB,
        ]);
        usleep(300_000);
        $this->dontSee('waits for a signal');
        $this->browser()->driver->navigate()->refresh();
        $this->find('[data-bar]');
        $this->eventually(
            fn(): bool => $this->js("return document.querySelector('[data-step={$step}] input.field')?.value") === '33',
            'the minutes are not kept',
        );
        $this->blur();
        $this->press('v');
        $this->click(fn() => $this->find('[role=dialog] select option:nth-child(2)'));
        $this->click(fn() => $this->button('Keep the visits'));
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
        for ($days = 1; (int) date('N', (int) strtotime("{$day} +{$days} days")) > 5; $days++);
        $after = date('Y-m-d', (int) strtotime("{$day} +{$days} days"));
        $this->js(
            "const f = document.querySelector('[data-step=tidy-lecture] form'); f.day.value = '{$after}'; f.time.value = '09:00'; f.requestSubmit()",
        );
        $this->see('everything is done');
        $this->click(fn() => $this->button('Keep it there'));
        $this->see('moved here');
        self::assertSame(
            390,
            $this->js('return document.documentElement.scrollWidth'),
            'nothing is wider than the phone',
        );
        // Pressed until it is so: the page may be drawn anew under the thumb.
        $this->eventually(function (): bool {
            $this->js(
                "[...document.querySelectorAll('button')].find((b) => b.textContent.trim() === 'Let the plan place it again')?.click()",
            );

            return !str_contains($this->text(), 'moved here');
        }, 'the plan does not place it again');
        // A wait in a circle is refused at its place, another is kept and taken away again.
        $dry = '[data-step="second-cove"]';
        $this->js("document.querySelector('[data-step=second-cove] button[aria-expanded]').click()");
        $this->choose("{$dry} select", 'diffuser-cove');
        $this->see('in a circle');
        // Chosen until it is so: what was refused may be drawn anew over it, and what is kept is offered no longer.
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

    public function test_ticks_without_a_signal_arrive_once_when_there_is_one(): void
    {
        $this->expectedErrors = ['ERR_INTERNET_DISCONNECTED'];
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
        $this->see('No signal: 3 ticks wait on this device');
        $this->click(fn() => $this->find("[data-step=\"{$steps[2]}\"] input[type=checkbox]"));
        $this->see('No signal: 4 ticks wait on this device');
        $this->signal(true);
        $this->dontSee('No signal');
        $this->see('2of ');
        $this->dontSee('waits for a signal');
        // Once more, with the page closed before the signal is back.
        $this->signal(false);
        $this->click(fn() => $this->find("[data-step=\"{$steps[2]}\"] input[type=checkbox]"));
        $this->see('No signal: one tick waits on this device');
        $this->signal(true, false);
        $this->open('/jobs/2/build');
        $this->see('3of ');
        $this->dontSee('No signal');
        $this->browser()->size(1280, 800);
    }

    /** Without a signal nothing reaches the server; the page is told when it is back, as a phone tells it. */
    private function signal(bool $there, bool $told = true): void
    {
        $tools = new ChromeDevToolsDriver($this->browser()->driver);
        $tools->execute('Network.enable');
        if ($there && !$told) {
            // An empty page in between: what was open is closed.
            $this->browser()->driver->get('about:blank');
        }
        $tools->execute('Network.emulateNetworkConditions', [
            'offline' => !$there,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
    }

    /** @param  list<string>  $words  that the working of a number shows */
    private function working(string $figure, array $words): void
    {
        $this->click(fn() => $this->find($figure));
        foreach ($words as $word) {
            $this->see($word);
        }
        $this->click(fn() => $this->find($figure));
    }

    private function choose(string $select, string $value): void
    {
        $this->click(fn() => $this->find("{$select} option[value=\"{$value}\"]"));
    }

    private function blur(): void
    {
        $this->js('document.activeElement.blur()');
    }
}
