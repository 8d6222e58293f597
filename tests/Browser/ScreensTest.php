<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;

/** Cases outside the walk: the mouse, two tabs, a phone, the night face, bad files. */
final class ScreensTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        $this->browser()->size(1280, 800);
        $this->signIn();
    }

    public function test_a_feed_is_dragged_along_the_cut_marks_with_the_mouse(): void
    {
        $this->open('/jobs/1/wire');
        $pin = $this->still('[data-feed=f1] rect');
        $before = $this->revision();
        (new WebDriverActions($this->browser()->driver))->dragAndDropBy($pin, 240, 0)->perform();
        $this->eventually(
            fn(): bool => (int) $this->find('[data-feed=f1]')->getAttribute('aria-valuenow') > 60,
            'the feed stayed',
        );
        // The shown value may still be a preview.
        $this->eventually(fn(): bool => $this->revision() > $before, 'the move is not kept');
        $pad = (int) $this->find('[data-feed=f1]')->getAttribute('aria-valuenow');
        $this->open('/jobs/1/wire');
        self::assertSame((string) $pad, $this->find('[data-feed=f1]')->getAttribute('aria-valuenow'), 'it was kept');
        // A click on the ribbon feeds it there; undo takes both back.
        (new WebDriverActions($this->browser()->driver))
            ->moveToElement($this->still('.strip rect'), 200, 0)
            ->click()
            ->perform();
        $this->find('[data-feed=f2]');
        $this->undoKeys();
        $this->eventually(
            fn(): bool => $this->browser()->driver->findElements(WebDriverBy::cssSelector('[data-feed=f2]')) === [],
            'the feed is still there',
        );
        $this->undoKeys();
        $this->eventually(
            fn(): bool => $this->find('[data-feed=f1]')->getAttribute('aria-valuenow') === '0',
            'the feed did not come back',
        );
    }

    public function test_the_first_steps_lead_to_the_first_fix_and_can_be_left_and_resumed(): void
    {
        $this->open('/');
        $this->click(fn() => $this->button('Start the guide'));
        $this->see('Open the job at its problem');
        $this->assertAccessible('first step of the guide');
        $this->click(fn() => $this->find('[data-guide=next]'));
        $this->see('Read the light along the run');
        $this->eventually(fn(): bool => $this->path() === '/jobs/1/wire', 'Wire is not open');
        // The card is last for the Tab key; its own key goes there.
        $this->press('.', Key::ENTER);
        $this->see('and the curve rises');
        $this->click(fn() => $this->find('[data-guide=ends]'));
        // The step is done when the run is visibly dull no more, not when the button was pressed.
        $this->see('Its formula, inputs and source open.');
        $this->dontSee('Cove: visibly dull');
        $this->click(fn() => $this->button('Leave the guide'));
        $this->dontSee('First steps');
        $this->open('/');
        $this->see('First steps: 4 of 5.');
        $this->click(fn() => $this->button('Resume the guide'));
        $this->click(fn() => $this->find('section[aria-labelledby=guide-title] a.press'));
        $this->click(fn() => $this->find('footer [data-figure^=Evenness]'));
        $this->see('the new cable is in the list');
        $this->click(fn() => $this->find('section[aria-labelledby=guide-title] a.press'));
        $this->find('[data-guide=quote]');
        $this->eventually(fn(): bool => $this->path() === '/jobs/1/parts', 'Parts is not open');
        $this->assertAccessible('last step of the guide');
        $this->undoKeys();
        $this->eventually(
            fn(): bool => str_contains(
                (string) json_encode($this->request('GET', '/jobs/1/state?stage=wire')),
                'visibly dull',
            ),
            'undo does not take the feed back',
        );
        $this->click(fn() => $this->button('Finish'));
        $this->open('/');
        $this->see('Jobs of');
        $this->dontSee('First steps');
    }

    public function test_a_stale_tab_reports_and_shows_the_conflict(): void
    {
        $driver = $this->browser()->driver;
        $this->open('/jobs/1/wire');
        $this->find('[data-feed=f1]')->sendKeys('');
        $first = $driver->getWindowHandle();
        $driver->switchTo()->newWindow('tab');
        $this->open('/jobs/1/wire');
        $this->find('[data-feed=f1]');
        $before = $this->revision();
        $this->find('[data-feed=f1]')->sendKeys([Key::ARROW_RIGHT, Key::ARROW_RIGHT]);
        $this->see('C1 to 0.10 m');
        $this->eventually(
            fn(): bool => $this->find('[data-feed=f1]')->getAttribute('aria-valuenow') === '2',
            'not kept',
        );
        $this->eventually(fn(): bool => $this->revision() > $before, 'not kept');
        usleep(700_000);
        $driver->close();
        $driver->switchTo()->window($first);
        $this->find('[data-feed=f1]')->sendKeys([Key::ARROW_RIGHT]);
        $this->see('Meanwhile: Feed of Cove moved from 0.00 m to 0.10 m');
        $this->see('C1 to 0.10 m');
        self::assertSame('2', $this->find('[data-feed=f1]')->getAttribute('aria-valuenow'));
        $this->expectedErrors = ['409'];
        $this->undoKeys();
        $this->see('C1 to 0.00 m');
    }

    private function typeAtTheEnd(string $text): void
    {
        $this->press('e');
        $this->browser()
            ->driver->getKeyboard()
            ->sendKeys([Key::CONTROL, Key::END, Key::NULL]);
        $this->press($text);
    }

    public function test_notes_are_kept_where_the_page_is_left_before_the_hand_rests(): void
    {
        $this->open('/jobs/1/survey');
        $this->find('textarea');
        $this->typeAtTheEnd('; # in a hurry');
        $this->open('/');
        $this->see('Jobs of');
        $this->eventually(function (): bool {
            $this->open('/jobs/1/survey');

            return str_ends_with((string) $this->find('textarea')->getAttribute('value'), '; # in a hurry');
        }, 'what was typed last is lost');
    }

    public function test_notes_typed_while_the_server_does_not_answer_are_there_when_the_page_is_opened_again(): void
    {
        $this->open('/jobs/1/survey');
        $this->find('textarea');
        $this->browser()->driver->executeScript('window.fetch = () => new Promise(() => {})');
        $this->typeAtTheEnd('; # on a bad line');
        $this->open('/');
        $this->see('Jobs of');
        $before = $this->revision();
        $this->open('/jobs/1/survey');
        $this->eventually(
            fn(): bool => str_ends_with((string) $this->find('textarea')->getAttribute('value'), '; # on a bad line'),
            'what was typed last is lost',
        );
        $this->eventually(fn(): bool => $this->revision() > $before, 'not saved');
    }

    /** Two edits on a slow line: the answer to the first is older than the notes, and takes nothing back. */
    public function test_an_answer_to_an_earlier_edit_takes_no_typing_back(): void
    {
        $this->open('/jobs/1/survey');
        $this->find('textarea');
        $before = $this->revision();
        $this->js(
            'window.held = []; const real = window.fetch; window.fetch = (url, how) => how?.method === "POST" ' .
                '? new Promise((answer) => held.push(() => answer(real(url, how)))) : real(url, how)',
        );
        $text = fn(): string => (string) $this->find('textarea')->getAttribute('value');
        $this->typeAtTheEnd('; # first');
        $this->eventually(fn(): bool => $this->js('return held.length') === 1, 'the first edit is not sent');
        $this->press(', second');
        // The hand rests: the second edit waits for its turn.
        $from = (float) $this->js('return performance.now()');
        $this->eventually(
            fn(): bool => (float) $this->js('return performance.now()') > $from + 1000.0,
            'no time passes',
        );
        $this->js('held[0]()');
        $this->eventually(fn(): bool => $this->js('return held.length') === 2, 'the second edit is not sent');
        self::assertStringEndsWith('; # first, second', $text());
        $this->press(', third');
        $this->js('held[1]()');
        $this->eventually(fn(): bool => $this->js('return held.length') === 3, 'the third edit is not sent');
        self::assertStringEndsWith('; # first, second, third', $text());
        $this->js('held[2]()');
        $this->eventually(fn(): bool => $this->revision() >= $before + 3, 'not all is saved');
        $this->open('/jobs/1/survey');
        self::assertStringEndsWith('; # first, second, third', $text());
    }

    public function test_notes_typed_in_a_stale_tab_are_not_lost(): void
    {
        $driver = $this->browser()->driver;
        $this->open('/jobs/1/survey');
        $this->find('textarea');
        $first = $driver->getWindowHandle();
        $driver->switchTo()->newWindow('tab');
        $this->open('/jobs/1/survey');
        $this->find('textarea');
        $before = $this->revision();
        $this->typeAtTheEnd('; # theirs');
        $this->eventually(fn(): bool => $this->revision() > $before, 'not kept');
        $driver->close();
        $driver->switchTo()->window($first);
        $this->typeAtTheEnd('; # mine');
        $this->see('because they were changed elsewhere in the meantime');
        self::assertStringEndsWith('; # theirs', (string) $this->find('textarea')->getAttribute('value'));
        self::assertStringEndsWith('; # mine', $this->find('[role=alert] pre')->getText());
        $this->browser()->driver->executeScript(
            '[...document.querySelectorAll("button")].find((b) => b.innerText === "Use these").click()',
        );
        $this->eventually(
            fn(): bool => str_ends_with((string) $this->find('textarea')->getAttribute('value'), '; # mine'),
            'not put in',
        );
        $this->expectedErrors = ['409'];
    }

    public function test_the_limits_of_the_job_are_set_in_their_box(): void
    {
        $this->open('/jobs/1/wire');
        $this->find('[data-feed=f1]');
        $this->press('i');
        $this->find('input[name=drop]');
        $this->assertAccessible('limits');
        $this->press('zwei', Key::ENTER);
        $this->see('is not a number');
        $this->browser()
            ->driver->getKeyboard()
            ->sendKeys([Key::CONTROL, 'a', Key::NULL]);
        $this->press('2,5', Key::ENTER);
        $this->see('at most 0.60 V, 2.5 % of 24 V');
        self::assertStringContainsString('V voltage drop in the cables', $this->text());
        $this->undoKeys();
        $this->dontSee('at most 0.60 V');
    }

    public function test_a_faulty_file_is_refused_on_the_page_and_a_good_one_is_taken(): void
    {
        $this->open('/');
        $file = (string) tempnam(sys_get_temp_dir(), 'job');
        file_put_contents(
            $file,
            str_replace(
                '"pad": 0',
                '"pad": 999',
                (string) file_get_contents(dirname(__DIR__, 2) . '/core/tests/fixtures/job-observatory.json'),
            ),
        );
        $picker = $this->filePicker();
        $picker->sendKeys($file);
        $this->see('ends at pad 360. At /feeds/0/pad.');
        file_put_contents(
            $file,
            (string) file_get_contents(dirname(__DIR__, 2) . '/core/tests/fixtures/job-observatory.json'),
        );
        $picker->sendKeys($file);
        $this->opened();
        unlink($file);
        $this->expectedErrors = ['422'];
    }

    public function test_reports_a_lost_connection_and_keeps_the_typed_text(): void
    {
        $this->open('/jobs/1/survey');
        $this->find('textarea');
        $this->browser()->driver->executeScript(
            'window.realFetch = window.fetch; window.fetch = () => Promise.reject(new TypeError("gone"))',
        );
        $this->press('e');
        $this->browser()
            ->driver->getKeyboard()
            ->sendKeys([Key::CONTROL, Key::END, Key::NULL]);
        $this->press('; # checked');
        $this->see('the server is not reached');
        $this->browser()->driver->executeScript('window.fetch = window.realFetch');
        $this->dontSee('the server is not reached');
        $this->open('/jobs/1/survey');
        $this->eventually(
            fn(): bool => str_contains((string) $this->find('textarea')->getAttribute('value'), '# checked'),
            'the typing was lost',
        );
        self::assertStringEndsWith('; # checked', (string) $this->find('textarea')->getAttribute('value'));
    }

    /** By day and at a desk the walk looks at them. */
    public function test_every_screen_is_accessible_by_night_on_a_phone(): void
    {
        $this->signIn();
        $this->browser()->size(390, 844);
        foreach (['survey', 'kit', 'wire', 'parts', 'build', 'bench', 'log', 'join', 'handover'] as $stage) {
            $this->open("/jobs/1/{$stage}");
            $this->find('main');
            $this->press('d');
            $this->assertAccessible("{$stage} by night on a phone");
            $this->press('d');
            $wide = $this->browser()->driver->executeScript(
                'return document.documentElement.scrollWidth - document.documentElement.clientWidth',
            );
            self::assertSame(0, $wide, "{$stage} is wider than the phone");
        }
    }
}
