<?php

declare(strict_types=1);

namespace Tests\Browser;

use EmberDusk\Tests\Bench\BenchJob;
use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;
use Facebook\WebDriver\WebDriverSelect;

/**
 * A hall with five faults in it, found on a phone through the screen alone; then readings of the job itself without a signal, which
 * come once when there is one.
 */
final class BenchTest extends BrowserTestCase
{
    /** A helper circuit is calculated, goes into the log, and its transistor into the job. */
    public function test_a_helper_circuit_is_kept(): void
    {
        $this->signIn();
        $this->open('/jobs/1/bench');
        $this->see('Helper circuits');
        $this->press('e');
        $this->click(fn() => $this->button('Calculate'));
        $this->see('Divider from 5 V to 3.0 V');
        $this->click(fn() => $this->button('Add to log'));
        $this->see('It is in the log');
        $this->assertAccessible('a helper circuit');
        $this->open('/jobs/1/log');
        $this->see('Divider from 5 V to 3.0 V');
    }

    /** A test that does not end as expected is an open point; passing it closes the point. */
    public function test_a_failed_test_is_open_until_it_is_passed(): void
    {
        $this->signIn();
        $this->open('/jobs/1/bench?run=cove');
        $this->find('[aria-label="Remark for the log"]')->sendKeys('2 ohms to the warm lead');
        $this->click(fn() => $this->button('Not so'));
        $this->see('2 ohms to the warm lead');
        $this->find('[aria-labelledby=slate]');
        $this->eventually(
            fn(): bool => $this->js(
                'return document.querySelector("[aria-labelledby=slate]").innerText.includes("2 ohms to the warm lead")',
            ) === true,
            'the failed test is no open point',
        );
        $this->click(fn() => $this->button('Pass'));
        $this->eventually(
            fn(): bool => $this->js(
                'return !document.querySelector("[aria-labelledby=slate]").innerText.includes("2 ohms to the warm lead")',
            ) === true,
            'the passed test is still open',
        );
    }

    public function test_five_faults_are_found_on_a_phone_and_named_apart(): void
    {
        $this->hall();
        $this->browser()->size(390, 844);
        $this->bench('bar');
        $this->practise();
        $this->test('Colour by colour');
        $this->colours();
        $this->see('The switch is left at tunable white, red is loose.');
        $this->assertAccessible('colours of the bench on a phone');
        $this->click(fn() => $this->button('Done: test the colours again'));
        $this->dontSee('The switch is left');
        $this->colours();
        $this->see('Blue and warm white are exchanged, red is loose.');
        $this->see('Move the lead in output blue to output warm white.');
        $this->click(fn() => $this->button('Done: test the colours again'));
        $this->dontSee('Blue and warm white are exchanged');
        $this->colours();
        $this->see('Every colour lights as commanded.');
        $this->choose('Star');
        $this->test('Count');
        $this->see('Set the count to 96');
        $this->click(fn() => $this->button('Set 96 on the simulated device'));
        $this->see('Dark from the first pixel of piece 2 on: data joint, arrow or leg, not the count.');
        $this->assertAccessible('count of the bench on a phone');
        $this->click(fn() => $this->button('Done: count again'));
        $this->see('Set the count to 96');
        $this->test('White at full');
        $this->meter();
        $this->see('Star: limit still at its default');
        $this->click(fn() => $this->button('Fixed: read again'));
        $this->choose('Cove');
        $this->test('White at full');
        $this->meter();
        $this->see('Bad joint of + of K5 at F3');
        $this->assertAccessible('readings of the bench on a phone');
        $this->click(fn() => $this->button('Fixed: read again'));
        $this->click(fn() => $this->button('Rail'));
        $this->see('Rail, ');
        $this->test('Each feed lifted');
        $this->meter();
        $this->see('Feed F5 dead or loose');
        $this->click(fn() => $this->button('Fixed: read again'));
        $this->see('Every fault is found and fixed.');
        $this->click(fn() => $this->button('End the practice'));
        $this->dontSee('End the practice');
        self::assertStringNotContainsString('Something is wrong in here', $this->text());
        self::assertStringNotContainsString('outside', $this->text(), 'nothing of the practice is the job’s');
    }

    /** Two looks and a third: where single pixels of a wall light, entered on the bench, end in the notes of the place. */
    public function test_the_order_of_a_matrix_is_found_by_looking(): void
    {
        $this->hall();
        $this->browser()->size(390, 844);
        $this->change((int) explode('/', $this->path())[2], [
            'kind' => 'NoteMatrix',
            'run' => 'star',
            'columns' => 12,
            'rows' => 8,
        ]);
        $this->bench('star');
        $this->see('Star: order of the matrix is not known yet');
        $this->test('Order of the matrix');
        $this->see('Light pixel 1 alone, seen from the front. Where is it?');
        $this->assertAccessible('looks at a matrix');
        $this->click(fn() => $this->button('Bottom right'));
        $this->see('Light pixel 2 alone. Where is it?');
        $this->click(fn() => $this->button('Above pixel 1'));
        $this->see('Light pixel 9 alone. Where is it?');
        $this->click(fn() => $this->button('Beside pixel 8: serpentine'));
        $this->find(
            '[aria-label^="Way of the data: 12 across, 8 down, first pixel bottom right, in columns, serpentine"]',
        );
        $this->dontSee('Star: order of the matrix is not known yet');
    }

    public function test_readings_without_a_signal_arrive_once_and_are_logged(): void
    {
        $this->hall();
        $this->browser()->size(390, 844);
        $this->bench('bar');
        $this->test('White at full');
        $this->signal(false);
        $this->reading('23.9');
        $this->see('No signal');
        $this->reading('23900');
        $this->see('2 entries on this device');
        $this->signal(true);
        $this->see('is it in mV?');
        $this->dontSee('No signal');
        $this->see('23.9 V');
        $this->click(fn() => $this->button('It is 23.90 V'));
        $this->dontSee('is it in mV?');
        $this->browser()->size(1280, 800);
        $this->press('l');
        $this->see('3 entries');
        $this->see('S1, its terminals, at full: 23900.0 V');
        $this->assertAccessible('log');
        $this->find('input[type=search]')->sendKeys('23900');
        $this->see('1 entry');
        $this->find('input[type=search]')->sendKeys(array_fill(0, 5, Key::BACKSPACE));
        $this->see('3 entries');
        $this->find('input[aria-label=Remark]')->sendKeys('Damp behind the shelf' . Key::ENTER);
        $this->see('Damp behind the shelf');
        $this->click(fn() => $this->find('a[href$="/handover"]'));
        $this->see('Tests and readings');
        $this->see('S1, its terminals, at full');
        $this->expectedErrors = ['ERR_INTERNET_DISCONNECTED'];
    }

    /** By keys alone: tests forward and back, a tick that is one at Build too. */
    public function test_tests_are_gone_through_by_keys_and_a_tick_here_is_one_there(): void
    {
        $this->hall();
        $this->bench('cove');
        $this->see('test 1 of');
        $this->press(']');
        $this->see('test 2 of');
        $this->press('[');
        $this->see('test 1 of');
        $this->press('t');
        $this->see('test 2 of');
        $this->see('1/12');
        foreach (range(1, 6) as $n) {
            $this->press('t');
            $this->see('test ' . ($n + 2) . ' of');
        }
        $this->see('7/12');
        $this->press('5');
        $this->see('Cove: loose test');
        self::assertTrue($this->find('[data-step=loose-cove] input')->isSelected(), 'all its tests are ticked');
        self::assertFalse($this->find('[data-step=second-cove] input')->isSelected());
    }

    /** Another run; chosen again where the page was redrawn under the thumb. */
    private function choose(string $run): void
    {
        $this->click(fn() => $this->button($run));
        $this->see("{$run}, ");
    }

    private function hall(): void
    {
        $this->signIn();
        $file = tempnam(sys_get_temp_dir(), 'hall') . '.json';
        file_put_contents($file, BenchJob::file());
        $this->filePicker()->sendKeys($file);
        $this->opened();
        unlink($file);
    }

    private function bench(string $run): void
    {
        $job = explode('/', $this->path())[2];
        $this->open("/jobs/{$job}/bench?run={$run}");
        $this->find('#meter');
    }

    private function practise(): void
    {
        $this->click(fn() => $this->button('Practise'));
        // The number of a practice is its chance: the same faults, sizes and meter each time.
        $this->find('[role=dialog] input')->sendKeys([Key::CONTROL . 'a' . Key::NULL, '5']);
        $this->find('[role=dialog] textarea')->sendKeys(implode("\n", BenchJob::faults(BenchJob::plan())));
        $this->click(fn() => $this->button('Hide these faults'));
        $this->see('The simulated wiring has a fault.');
    }

    /** A test, by how its title begins. */
    private function test(string $title): void
    {
        // Again where the page was redrawn in between.
        $this->eventually(function () use ($title): bool {
            (new WebDriverSelect($this->find('select[aria-label=Test]')))->selectByVisiblePartialText($title);

            return true;
        }, "no test “{$title}”");
        $this->see(mb_strtolower($title));
    }

    /** Every colour that is asked for is commanded on the simulated device, until something is found. */
    private function colours(): void
    {
        $this->eventually(function (): bool {
            if (preg_match('/Done: test the colours again|Every colour lights as commanded/', $this->text()) === 1) {
                return true;
            }
            foreach ($this->buttons('//button[@data-simulated]') as $button) {
                $button->click();
            }

            return false;
        }, 'no verdict on the colours');
    }

    /** The supply first, then the most useful readings, six at most, by the simulated meter. */
    private function meter(): void
    {
        for ($n = 1; $n <= 6; $n++) {
            $before = count(
                $this->browser()->driver->findElements(
                    WebDriverBy::cssSelector('section[aria-labelledby=meter] li.grid'),
                ),
            );
            $this->click(fn() => $this->button('Read the simulated meter'));
            $this->eventually(
                fn(): bool => $this->find('[data-read]')->getAttribute('value') !== '',
                'the meter shows nothing',
            );
            $this->click(fn() => $this->button('Save reading'));
            $this->eventually(
                fn(): bool => count(
                    $this->browser()->driver->findElements(
                        WebDriverBy::cssSelector('section[aria-labelledby=meter] li.grid'),
                    ),
                ) > $before,
                'the reading is not there',
            );
            $this->eventually(
                fn(): bool => $this->buttons('//button[contains(., "Fixed: read again")]') !== [] ||
                    str_contains($this->text(), 'the most useful reading'),
                'nothing is believed',
            );
            if ($this->buttons('//button[contains(., "Fixed: read again")]') !== []) {
                return;
            }
            $this->click(fn() => $this->find('section[aria-labelledby=meter] [role=status] button.act'));
        }
        self::fail('Six readings, and no fault is named: ' . $this->text());
    }

    private function reading(string $value): void
    {
        $this->find('[data-read]')->sendKeys($value . Key::ENTER);
    }

    /** @return list<\Facebook\WebDriver\Remote\RemoteWebElement> */
    private function buttons(string $xpath): array
    {
        return array_values($this->browser()->driver->findElements(WebDriverBy::xpath($xpath)));
    }

    private function signal(bool $there): void
    {
        $tools = new ChromeDevToolsDriver($this->browser()->driver);
        $tools->execute('Network.enable');
        $tools->execute('Network.emulateNetworkConditions', [
            'offline' => !$there,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
    }
}
