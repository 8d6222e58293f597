<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys as Key;

/** Units are placed by keys on the sheet of walls, by a drag onto a box, and by a form on the phone. */
final class PlacingTest extends BrowserTestCase
{
    private function words(string $unit): string
    {
        return $this->find("[data-standing=\"{$unit}\"]")->getText();
    }

    public function test_units_are_placed_by_keys_by_hand_and_by_a_form(): void
    {
        $this->signIn();
        $this->open('/jobs/1/survey');
        $this->find('[data-unit="c1"]');
        // Keys: from the box along the wall, kept by Enter.
        $this->js("document.querySelector('[data-unit=\"c1\"]').focus()");
        $this->press(Key::ARROW_RIGHT, Key::ARROW_RIGHT);
        $this->see('wall 3 at 1.30 m');
        $this->press(Key::ENTER);
        $this->eventually(fn(): bool => str_contains($this->words('c1'), 'wall 3 at 1.30 m'), 'keys place nothing');
        $this->see('B1 holds S1, H1');
        $this->assertAccessible('units on the sheet of walls');
        // A drag back onto the box.
        $box = $this->find('[data-spot="B1"] rect');
        (new WebDriverActions($this->browser()->driver))
            ->dragAndDrop($this->still('[data-unit="c1"] rect'), $box)
            ->perform();
        $this->see('B1 holds S1, C1, H1');
        // The form, on a phone: another place, and back by undo.
        $this->browser()->size(390, 844);
        $this->click(fn() => $this->find('[data-standing="m1"] button'));
        $this->choose('[name="place"]', 'Workshop');
        $this->choose('[name="target"]', 'P4');
        $this->find('[name="up"]')->sendKeys('1,10');
        $this->assertAccessible('placing a unit on a phone');
        $this->click(fn() => $this->button('Save position'));
        $this->eventually(fn(): bool => str_contains($this->words('m1'), 'P4, 1.10 m up'), 'the form places nothing');
        $this->undoKeys();
        $this->eventually(fn(): bool => str_contains($this->words('m1'), 'not placed'), 'it is not undone');
        $this->browser()->size(1280, 800);
        $this->open('/jobs/1/wire');
        $this->see('S1 load');
        $this->see('B1');
    }

    /** Picks the option of a select whose words begin so. */
    private function choose(string $select, string $words): void
    {
        $this->find($select);
        $this->js(
            "const s = document.querySelector('{$select}'); s.value = [...s.options].find((o) => " .
                "o.text.trim().startsWith('{$words}')).value; s.dispatchEvent(new Event('change', { bubbles: true }))",
        );
    }
}
