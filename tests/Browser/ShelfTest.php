<?php

declare(strict_types=1);

namespace Tests\Browser;

use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\FortyRuns;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;

/** The kit shelf by hand, and the planner's proposal at Wire. */
final class ShelfTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        $this->signIn();
    }

    public function test_an_entry_is_found_changed_and_its_jobs_are_shown_what_would_move(): void
    {
        $this->open('/shelf');
        $this->see('Everything');
        $this->assertAccessible('shelf');
        $this->press('/', 'two-channel 5 a');
        $this->eventually(
            fn(): bool => count(
                $this->browser()->driver->findElements(WebDriverBy::cssSelector('section li button')),
            ) === 1,
            'the search finds one',
        );
        $this->press(Key::TAB);
        $this->click(fn() => $this->find('section li button'));
        $this->see('Jobs that use it');
        $this->see('has this entry');
        $this->assertAccessible('shelf with an entry open');
        $field = $this->find('input[name=channelAmps]');
        $field->clear();
        $field->sendKeys(['nought', Key::ENTER]);
        $this->see('“nought” is not a number');
        $this->expectedErrors = ['422'];
        $field = $this->find('input[name=channelAmps]');
        $field->clear();
        $field->sendKeys(['3', Key::ENTER]);
        $this->see('has an older copy');
        $this->click(fn() => $this->button('Preview the changes'));
        $this->see('C1 carries');
        $this->click(fn() => $this->find('section[aria-labelledby=uses] button.act'));
        $this->see('has this entry');
        $this->open('/jobs/1/kit');
        $carries = fn(string $metres): bool => str_contains(
            $this->find('[data-figure="C1 carries"]')->getText(),
            $metres,
        );
        $this->eventually(fn(): bool => $carries('15.0'), 'the job has not taken the new entry');
        $this->undoKeys();
        $this->eventually(fn(): bool => $carries('25.0'), 'undo does not bring the old copy back');
    }

    /** A supply as its label has it: a missing field gets the focus, the rest is assumed, and it is copied by keyboard. */
    public function test_an_entry_is_made_from_a_label_and_copied_by_keyboard(): void
    {
        $at = fn(): mixed => $this->js('return document.activeElement.name || document.activeElement.tagName');
        $this->open('/shelf');
        $this->see('Everything');
        $this->button('New entry')->sendKeys(Key::ENTER);
        $this->eventually(fn(): bool => $at() === 'SELECT', 'the form does not take the keyboard');
        $this->press('supply');
        $this->find('input[name=ratedAmps]')->sendKeys('4');
        $this->find('input[name=name]')->sendKeys(['Label supply', Key::ENTER]);
        $this->expectedErrors = ['422'];
        $this->see('It is missing.');
        $this->eventually(fn(): bool => $at() === 'volts', 'the missing field does not get the focus');
        $this->press('24', Key::ENTER);
        $this->see('Jobs that use it');
        $this->see('0.01 × volts ÷ rated current is assumed');
        $this->button('Copy')->sendKeys(Key::ENTER);
        $this->eventually(fn(): bool => $at() === 'name', 'the copy does not take the keyboard');
        self::assertSame('Label supply, copy', $this->js('return document.activeElement.value'));
    }

    public function test_a_file_is_taken_in_or_refused_at_its_line(): void
    {
        $this->open('/shelf');
        $this->see('Everything');
        $file = sys_get_temp_dir() . '/ember-shelf-' . getmypid() . '.csv';
        $input = $this->filePicker();
        $input->setFileDetector(new LocalFileDetector());
        file_put_contents($file, "kind,id,name,amps,form\nfuse,fuse-own,Own fuse,five,blade\n");
        $input->sendKeys($file);
        $this->see('Line 2, amps: “five” is not a number.');
        $this->expectedErrors = ['422'];
        file_put_contents($file, "kind,id,name,amps,form\nfuse,fuse-own,Own fuse,5,blade\n");
        $input->sendKeys($file);
        $this->see('1 new, 0 changed, 0 unchanged');
        unlink($file);
        $this->eventually(fn(): bool => preg_match('/Fuses\s*10/', $this->text()) === 1, 'the new fuse is not counted');
        self::assertMatchesRegularExpression('/Fuses\s*10/', $this->text());
    }

    public function test_a_proposal_says_why_and_is_taken_and_undone(): void
    {
        $this->open('/jobs/1/wire');
        $this->find('[data-feed=f1]');
        $this->press('p');
        $this->click(fn() => $this->button('Find the cheapest'));
        $this->see('Why not cheaper');
        $this->see('limit 0.90');
        $this->see('Current layout');
        $this->see('Cheapest single change that fixes it');
        // Its picture: places before and after, changed parts with what they replace, what stays near a limit.
        $this->see('2 feeds instead of 1');
        $this->see('instead of Zigbee two-channel controller');
        $this->see('near the limit of evenness');
        $this->assertAccessible('wire with a proposal');
        $this->click(fn() => $this->button('Use it'));
        $this->dontSee('Cove: visibly dull');
        $this->see('C1 to 7.50 m');
        $this->undoKeys();
        $this->see('Cove: visibly dull');
    }

    /** Two runs in each of thirty rooms are parted in every way, which takes longer than anybody waits. */
    public function test_a_long_proposal_is_stopped_and_the_best_so_far_is_taken(): void
    {
        $this->open('/');
        $file = sys_get_temp_dir() . '/ember-many-' . bin2hex(random_bytes(6)) . '.json';
        file_put_contents($file, JobFile::write(FortyRuns::plan(Demo::shelf(), 2, 30)));
        $picker = $this->find('input[type=file]');
        $picker->setFileDetector(new LocalFileDetector());
        $picker->sendKeys($file);
        $this->see('Forty runs');
        unlink($file);
        $this->eventually(fn(): bool => str_contains($this->path(), '/jobs/3'), 'the job is not open');
        $this->open('/jobs/3/wire');
        $this->find('[data-run]');
        $this->press('p');
        $this->click(fn() => $this->find('[role=dialog] input[value=job]'));
        $this->click(fn() => $this->button('Find the cheapest'));
        $this->see('Solving one layout after the other');
        $this->eventually(
            fn(): bool => preg_match('/: .+\. (\d+)\s+so far/', $this->text(), $found) === 1 && (int) $found[1] > 20,
            'no progress is told',
        );
        $this->click(fn() => $this->button('Stop and show the best so far'));
        // The layout that is being solved is solved to its end, however busy the machine is.
        $this->see('Stopped: this layout meets the limits');
        self::assertMatchesRegularExpression('/Lower bound of the cost/', $this->text());
        $this->click(fn() => $this->button('Use it'));
        $this->eventually(fn(): bool => !str_contains($this->text(), 'Stopped: this layout meets'), 'it is not taken');
        $this->see('S1 load');
        $this->see('revision 2');
    }
}
