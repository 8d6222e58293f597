<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Key;

/** The answer board by keyboard, something said, and a name that is taken for another. */
final class ScenesTest extends BrowserTestCase
{
    public function test_decides_cells_and_answers_voice_commands(): void
    {
        $this->signIn();
        $this->filePicker()->sendKeys(dirname(__DIR__, 2) . '/database/demo/job-observatory.json');
        $job = $this->opened();
        $this->open("/jobs/{$job}/scenes");
        $this->see('Which control works which light');
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
        $this->see('Path, Bench, Rail, Jetty, Band, Workshop lamps, Porch lamps: 30 %.');
        $this->see('Jetty cannot do that');
        $this->see('30 %');
        $this->assertAccessible('scenes, after something was said');
        // Decisions here are the planned joins.
        $this->open("/jobs/{$job}/join");
        $this->see('Join on site, or rehearse first');
    }

    /** A scene is edited with its light in view, a trigger starts it, and conflicts are reported; the topic is ticked at hand-over. */
    public function test_a_scene_is_set_starts_by_itself_and_is_shown(): void
    {
        $this->signIn();
        $this->filePicker()->sendKeys(dirname(__DIR__, 2) . '/database/demo/job-observatory.json');
        $job = $this->opened();
        $this->open("/jobs/{$job}/scenes");
        $this->see('Which control works which light');
        $this->press('n');
        $this->see('Name, as people will say it');
        $this->eventually(
            fn(): bool => (bool) $this->js('return document.activeElement.hasAttribute("data-first")'),
            'the name is not waiting for its letters',
        );
        $this->press('Tidying');
        $this->find('[aria-label^="C1 Cove"], fieldset input[type=range]');
        $this->js(
            'const r = [...document.querySelectorAll("fieldset")].find((f) => f.textContent.includes("Cove")).querySelector("input[type=range]");' .
                'r.value = 80; r.dispatchEvent(new Event("input", { bubbles: true }));',
        );
        // Its amps and its picture are there before it is kept.
        $this->eventually(
            fn(): bool => (bool) $this->js(
                'return [...document.querySelectorAll("li")].some((l) => l.textContent.includes("Tidying") && l.textContent.includes("peak"))',
            ),
            'the picture does not follow',
        );
        $this->assertAccessible('scenes, while one is set');
        $this->click(fn() => $this->button('Save scene'));
        $this->find('[aria-label="Edit: “Tidying”"]');
        $this->click(fn() => $this->button('Automation'));
        $this->see('Automation');
        $this->see('Sunrise');
        $this->click(fn() => $this->find('[aria-labelledby=starts] h2 button'));
        $this->see('Cancel');
        $this->assertAccessible('scenes, by itself');
        $this->js(
            'const s = document.querySelector("form select[data-first]"); s.value = "push"; s.dispatchEvent(new Event("change", { bubbles: true }));',
        );
        $this->click(fn() => $this->button('Save trigger'));
        // The list of kinds in its form has the word too: it is kept when the form is gone.
        $this->dontSee('Cancel');
        $this->click(fn() => $this->button('Reach'));
        $this->see('Zigbee channels beside Wi-Fi');
        $this->assertAccessible('scenes, reach');
        $this->open("/jobs/{$job}/handover");
        $this->see('Wiring as built');
        $this->js('document.querySelector("details").open = true');
        $this->click(fn() => $this->find('details input[type=checkbox]'));
        $this->see('Shown to the client, versions and backups');
        $this->assertAccessible('hand over, written down');
    }
}
