<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;

/** A lesson worked on the drawn kit, and a run on site that loses its connection half way, both on a phone. */
final class PracticeTest extends BrowserTestCase
{
    private const STEP = "return document.querySelector('section[data-step]')?.dataset.step ?? ''";

    protected function setUp(): void
    {
        parent::setUp();
        $this->browser()->size(390, 844);
        $this->signIn();
    }

    protected function tearDown(): void
    {
        $this->browser()->offline(false);
        $this->browser()->size(1280, 800);
        parent::tearDown();
    }

    public function test_a_lesson_is_worked_with_ones_own_hands_and_scored(): void
    {
        $this->open('/practice');
        $this->see('0 of 30 passed');
        $this->assertAccessible('practice');
        $this->click(fn() => $this->button('Begin'));
        $this->see('Switch C1 on');
        $this->click(fn() => $this->named('On'));
        $this->see('Press Search in the hub’s app');
        $this->click(fn() => $this->named('Search'));
        $this->see('Press SET 7 times within 4 s on C1');
        $this->assertAccessible('a lesson');
        self::assertSame(390, $this->js('return document.documentElement.scrollWidth'));
        // As a finger does it: down and up, seven times.
        $this->js(
            "const key = document.querySelector('button[aria-label=\"SET of C1\"]'); const finger = (kind) => " .
                'key.dispatchEvent(new PointerEvent(kind, { bubbles: true, pointerId: 1 })); ' .
                "for (let n = 0; n < 7; n++) { setTimeout(() => { finger('pointerdown'); finger('pointerup'); }, n * 200); }",
        );
        $this->see('C1: SET pressed 7 times');
        $this->eventually(
            fn(): bool => str_contains(
                (string) $this->js("return document.querySelector('[aria-label^=\"App of H1\"]').innerText"),
                'Lamp 1',
            ),
            'C1 is never listed',
        );
        // Focus moves to the replacement of the pressed element.
        $this->button('Finished: test every control')->sendKeys(Key::ENTER);
        $this->see('Test every control now');
        $this->press(Key::ENTER);
        $this->see('Passed without help');
        self::assertSame('score', $this->js('return document.activeElement.id'));
        $this->assertAccessible('a lesson that is over');
        $this->find('input[type=range]');
        $this->click(fn() => $this->button('Replay'));
        $this->open('/practice');
        $this->see('1 of 30 passed');
    }

    private function named(string $text): RemoteWebElement
    {
        return $this->browser()->driver->findElement(WebDriverBy::xpath("//button[normalize-space(.)='{$text}']"));
    }

    /** An answer without a signal leads on to the steps sent ahead, and arrives once there is one. */
    public function test_a_run_on_site_goes_on_without_a_signal_and_catches_up(): void
    {
        $this->expectedErrors = ['ERR_INTERNET_DISCONNECTED'];
        $this->withoutFixtures(1);
        $this->open('/jobs/1/join');
        $this->click(fn() => $this->button('Join on site'));
        $this->see('Switch C1 on');
        [$run] = $this->server()->query('select max(id) from join_runs');
        $this->click(fn() => $this->button('Done'));
        $this->see('Press Search');
        $this->eventually(
            fn(): bool => $this->js(
                "return performance.getEntriesByType('resource').filter((r) => r.name.endsWith('/{$run}/ahead') && r.responseEnd > 0).length",
            ) >= 2,
            'nothing is sent ahead',
        );
        $this->browser()->offline(true);
        $this->click(fn() => $this->button('Done'));
        $this->see('No signal');
        $this->see('Press JOIN 6 times within 3.5 s on C1');
        $this->see('Second: it has joined: 4 quick');
        $this->click(fn() => $this->button('Saw the second'));
        $this->see('2 entries are not sent yet');
        $this->see('Name in the app’s list');
        self::assertSame(
            '1',
            (string) $this->server()->query(
                "select count(*) from join_events where join_run_id = {$run} and client is not null",
            )[0],
        );
        $offline = $this->js(self::STEP);
        $this->browser()->offline(false);
        $this->dontSee('No signal');
        $this->see('Name in the app’s list');
        self::assertSame($offline, $this->js(self::STEP));
        $texts = $this->server()->query(
            "select task || '/' || step || coalesce('|' || answer, '') from join_events " .
                "where join_run_id = {$run} and kind in ('saw', 'done') order by number",
        );
        self::assertSame(['join c1 h1/on c1', 'join c1 h1/search h1', 'join c1 h1/joined|expected'], $texts);
        $times = array_map(
            floatval(...),
            $this->server()->query("select at from join_events where join_run_id = {$run} order by number"),
        );
        $sorted = $times;
        sort($sorted);
        self::assertSame($sorted, $times);
        self::assertGreaterThan(0.0, end($times) - $times[2], 'each at its own moment');
    }
}
