<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Key;

/** A new job from the tape measure to the sheet, with the keyboard alone; axe-core on every screen on the way. */
final class WalkTest extends BrowserTestCase
{
    public function test_a_job_goes_from_the_tape_to_the_sheet_by_keyboard(): void
    {
        $this->open('/');
        $this->find('form button.press');
        $this->assertAccessible('sign-in');
        $this->tabTo('form button.press');
        $this->press(Key::ENTER);
        $this->see('Jobs of Saltmarsh Lighting');
        $this->assertAccessible('home');
        $this->press('n');
        $this->find('[role=dialog] input');
        $this->press('Lecture cove', Key::TAB, 'Observatory', Key::TAB, 'Lecture room', Key::ENTER);

        $this->survey();
        $this->kit();
        $this->wire();
        $this->join();
        $this->handOver();
    }

    private function survey(): void
    {
        $this->see('is not measured yet');
        // Empty notes have the caret.
        $this->eventually(
            fn(): bool => $this->js('return document.activeElement.tagName') === 'TEXTAREA',
            'the caret is not in the notes',
        );
        $this->see('begin with an example');
        $this->press("start door\n5.20 cove\nright 3,8O cove");
        $this->see('has a letter among its digits. Did you mean 3,80?');
        // A line is marked once it is left.
        self::assertSame('3,8O', $this->find('.behind .unfinished')->getText());
        $this->press(Key::ARROW_UP);
        self::assertSame('3,8O', $this->find('.behind .slip')->getText());
        $this->assertAccessible('survey with a slip');
        $this->press(Key::ARROW_DOWN, Key::END);
        $this->press(
            ...array_fill(0, 6, Key::BACKSPACE),
            ...[
                '0 cove',
                "\nright 5.20 cove\nright 3.80 cove\nclose\ndry\noutlet P1 dais, circuit C2\nrun cove, profile, room light",
            ],
        );
        $this->see('cove 18.00 m');
        $this->find("section[aria-labelledby=slate] details[data-stage='Kit']");
        $this->assertAccessible('survey');
        // Undo takes the last typing back, redo brings it again. A slow server gets what is typed in several pieces.
        $shown = fn(): bool => str_contains((string) $this->js('return document.body.innerText'), 'cove 18.00 m');
        $revision = fn(): string => (string) $this->js(
            'return (document.body.innerText.match(/revision \\d+/) || [""])[0]',
        );
        for ($pieces = 0; $pieces < 8 && $shown(); $pieces++) {
            $before = $revision();
            $this->undoKeys();
            $this->eventually(fn(): bool => $revision() !== $before, 'nothing was undone');
        }
        $this->dontSee('cove 18.00 m');
        for ($n = 0; $n < $pieces; $n++) {
            $before = $revision();
            $this->redoKeys();
            $this->eventually(fn(): bool => $revision() !== $before, 'nothing was redone');
        }
        $this->see('cove 18.00 m');
        $this->press(Key::ESCAPE);
        $this->leaveField();
        $this->press('2');
    }

    private function kit(): void
    {
        $this->see('Cove lacks a strip');
        $this->see('Choose C');
        $this->assertAccessible('kit, options side by side');
        $this->press('k');
        $this->see('Problems are shown on the right');
        $this->assertAccessible('kit');
        foreach (
            [
                's' => 'Tunable white 24 V',
                'p' => '24 V supply, 10 A',
                'c' => 'Zigbee two-channel controller, 12-36 V',
                'b' => '3 x 1.5 mm²',
                'u' => 'Zigbee hub with phone app',
            ]
            as $key => $name
        ) {
            $this->leaveField();
            $this->press((string) $key);
            $this->choose($name);
        }
        $this->find("section[aria-labelledby=slate] details[data-stage='Wire']");
        $this->leaveField();
        $this->press('3');
    }

    private function choose(string $name): void
    {
        $this->eventually(function () use ($name): bool {
            return $this->browser()->driver->executeScript(
                'const row = [...document.querySelectorAll("button.row")].find((r) => r.innerText.startsWith(arguments[0])); row?.focus(); return !!row',
                [$name],
            ) === true;
        }, "“{$name}” is not on the shelf");
        $this->press(Key::ENTER);
        $this->eventually(
            fn(): bool => str_contains($this->find('button.row.chosen')->getText(), $name),
            "“{$name}” is not chosen",
        );
    }

    private function wire(): void
    {
        $this->see('Cove: visibly dull');
        $this->find('[data-feed=f1]');
        $this->assertAccessible('wire');
        $this->press('b');
        $this->find('[data-feed=f2]');
        $this->press('m');
        $this->find('[data-feed=f3]');
        $this->dontSee('visibly dull');
        // The middle feed moves by its cut marks: three to the left, then kept.
        $this->tabTo('[data-feed=f3]');
        $this->press(Key::ARROW_LEFT, Key::ARROW_LEFT, Key::ARROW_LEFT);
        $this->see('C1 to 8.85 m');
        $this->eventually(
            fn(): bool => $this->find('[data-feed=f3]')->getAttribute('aria-valuenow') === '177',
            'the feed is not at pad 177',
        );
        // A feed comes at the reading point and goes with Delete.
        $this->leaveField();
        $this->press('r', Key::END, Key::ARROW_LEFT, Key::ARROW_LEFT, Key::ENTER);
        $this->find('[data-feed=f4]');
        $this->tabTo('[data-feed=f4]');
        $this->press(Key::DELETE);
        $this->eventually(fn(): bool => !str_contains($this->text(), 'C1 to 17.90 m'), 'the feed is still there');
        // Another length answers in volts lost; a comma will do.
        $this->tabTo('[aria-label="Length of K2 in metres"]');
        $this->browser()
            ->driver->getKeyboard()
            ->sendKeys([Key::CONTROL, 'a', Key::NULL]);
        $this->press('12,5', Key::TAB);
        $this->eventually(
            fn(): bool => $this->find('[aria-label="Length of K2 in metres"]')->getAttribute('value') === '12.50',
            'the length is not kept',
        );
        // Another kind of cable, by the list's own keys.
        $this->tabTo('[aria-label^="Kind of K2"]');
        $this->press(Key::ENTER, Key::END, Key::ENTER);
        $this->see('2 x 1.5 mm²');
        $this->see('K2 has 2 cores, 3 are needed');
        $this->undoKeys();
        $this->dontSee('K2 has 2 cores');
        // A number opens its working.
        $this->tabTo('footer [data-figure="Evenness"]', 120);
        $this->press(Key::ENTER);
        $this->see('d / b = ');
        $this->assertAccessible('wire with a working open');
        $this->press(Key::ESCAPE);
        // Lengths that were calculated are kept, from the find-and-do box.
        for ($n = 0; $n < 5 && str_contains($this->text(), 'not measured yet'); $n++) {
            $this->leaveField();
            $open = $this->openPoints();
            $this->press('/');
            $this->find('[role=dialog] input');
            $this->press('calculated', Key::ENTER);
            $this->eventually(fn(): bool => $this->openPoints() < $open, 'nothing was kept');
        }
        $this->leaveField();
        $this->press('7');
    }

    /** Open points of all stages. */
    private function openPoints(): int
    {
        return preg_match('/(\d+) in total/', $this->text(), $found) === 1 ? (int) $found[1] : 0;
    }

    private function join(): void
    {
        $this->see('Join on site, or rehearse first');
        $this->assertAccessible('join before a run');
        $this->press('b');
        $this->see('Switch C1 on');
        $this->press('d');
        $this->see('Press Search');
        $this->press('d');
        $this->see('Press JOIN 6 times within 3.5 s on C1');
        // Missed once: the first answer to nothing is the same again.
        $this->press('d');
        $this->see('JOIN pressed 6 times');
        // It may still come for some seconds: until then nothing is no answer.
        $this->see('Nothing seen, in ');
        $this->button('Nothing seen');
        $this->press('n');
        $this->see('Nothing seen. No response: the gesture did not count.');
        $this->assertAccessible('join after a miss');
        $this->press('d');
        $this->see('C1, reset: nothing seen');
        $this->see('Second: it has joined: 4 quick');
        $this->press('y');
        $this->eventually(function (): bool {
            $this->press('q');

            return str_contains($this->text(), 'Switch “Light 1” in the app');
        }, 'the light does not come into the list');
        $this->press('d');
        $this->see('“Light 1” switched in the app');
        $this->press('y');
        $this->find('form input');
        // Name and room come from the plan; without a name it is not taken.
        $this->browser()
            ->driver->getKeyboard()
            ->sendKeys([Key::CONTROL, 'a', Key::NULL]);
        $this->press(Key::BACKSPACE, Key::ENTER);
        $this->see('Type the name for voice control');
        $this->tabTo('input[name=name]');
        $this->press('Cove', Key::ENTER);
        $this->leaveField();
        $this->see('Control C1, cove by H1');
        $this->press('y');
        $this->proved();
        $this->see('On the simulated devices: 1 of 1 controls work.');
        $this->see('It joins nothing.');
        $this->assertAccessible('join done');
        $this->onSite();
        $this->leaveField();
        $this->press('9');
    }

    /** The same on real devices: observations are entered, and only they join. */
    private function onSite(): void
    {
        $this->press('b');
        $this->tabTo('input[placeholder="whose, which"]');
        $this->press('client’s phone', Key::ENTER);
        $this->see('On site, with client’s phone');
        $this->see('Switch C1 on');
        $this->leaveField();
        foreach (['Press Search', 'Press JOIN 6 times within 3.5 s on C1'] as $next) {
            $this->press('d');
            $this->see($next);
        }
        $this->see('Second: it has joined: 4 quick');
        $this->press('y');
        $this->assertAccessible('join on site');
        $this->tabTo('input[name=listed]');
        $this->press('Light 1', Key::ENTER);
        $this->see('Switch “Light 1” in the app');
        $this->leaveField();
        $this->press('y');
        $this->find('input[name=name]');
        $this->press(Key::ENTER);
        $this->leaveField();
        $this->see('Control C1, cove by H1');
        $this->press('y');
        $this->proved();
    }

    /** Covers closed, then mains off and on: each is done, and looked at. */
    private function proved(): void
    {
        foreach (
            ['Close every cover' => 'once more', 'Switch the mains of the whole site off' => 'lit again']
            as $does => $looks
        ) {
            $this->see($does);
            $this->press('d');
            $this->see($looks);
            $this->press('y');
        }
        $this->see('The control works');
    }

    private function handOver(): void
    {
        $this->see('“Cove” in Lecture room');
        $this->see('Press JOIN 6 times within 3.5 s.');
        $this->see('with client’s phone');
        $this->see('A rehearsal joins nothing.');
        $this->assertAccessible('hand over');
        $this->press('h');
        $this->see('C1 named “Cove” in Lecture room');
        $this->assertAccessible('history');
        $this->press(Key::ESCAPE);
        $this->eventually(
            fn(): bool => $this->browser()->driver->executeScript('return !document.querySelector("[role=dialog]")') ===
                true,
            'the history is still open',
        );
        $this->press('?');
        $this->see('Day or night');
        $this->press(Key::ESCAPE);
    }

    /** Out of a field, as a click on the page does; keys are then shortcuts again. */
    private function leaveField(): void
    {
        $this->browser()->driver->executeScript('document.activeElement.blur()');
    }
}
