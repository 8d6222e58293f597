<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Key;

/** The answer board by keyboard, something said, and a name that is taken for another. */
final class ScenesTest extends BrowserTestCase
{
    public function test_cells_are_decided_and_what_is_said_is_answered(): void
    {
        $this->signIn();
        $this->filePicker()->sendKeys(dirname(__DIR__, 2) . '/database/demo/job-observatory.json');
        $this->see('Tape notes');
        $job = explode('/', $this->path())[2];
        $this->open("/jobs/{$job}/scenes");
        $this->see('Which light answers to what');
        $this->assertAccessible('scenes');
        $this->find('.board button[tabindex="0"]')->sendKeys(Key::ARROW_RIGHT);
        $this->press(Key::ARROW_DOWN);
        $this->eventually(
            fn(): bool => str_contains((string) $this->js('return document.activeElement.ariaLabel'), 'Path by R1'),
            'arrows do not move',
        );
        $this->press(Key::ENTER);
        $this->find('button[aria-label^="Path by R1: planned, zone 2"]');
        $this->click(fn() => $this->find('button[aria-label^="Path by R1"]'));
        $this->click(fn() => $this->find('[aria-label=Zone] button:nth-child(4)'));
        $this->find('button[aria-label^="Path by R1: planned, zone 4"]');
        $this->undoKeys();
        $this->find('button[aria-label^="Path by R1: planned, zone 2"]');
        $this->press('v');
        $this->press('all but the cove, 30 %', Key::ENTER);
        $this->see('Path, Bench, Rail, Jetty, Band: 30 %.');
        $this->see('Jetty does not answer');
        $this->see('30 %');
        $this->assertAccessible('scenes, after something was said');
        // What is decided here is what is joined.
        $this->open("/jobs/{$job}/join");
        $this->see('Join on site, or rehearse it first');
    }
}
