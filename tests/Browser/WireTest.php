<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;

/** Wire beyond its ribbons: scenes, fixtures, fuses and joints, pins, two layouts side by side. */
final class WireTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        $this->signIn();
        $this->open('/jobs/1/wire');
        $this->find('[data-feed=f1]');
    }

    /** A point is accepted with a reason, is among the accepted then, and is opened again. */
    public function test_a_point_is_accepted_and_opened_again(): void
    {
        $this->js('document.querySelectorAll("[aria-labelledby=slate] details").forEach((d) => (d.open = true))');
        $this->click(fn() => $this->find('[aria-label^="Accept:"]'));
        $this->find('[aria-label^="Reason for accepting:"]')->sendKeys('Seen from below only');
        $this->click(fn() => $this->find('form button.press'));
        $this->find('[data-accepted] summary')->click();
        $this->see('Reason: Seen from below only');
        $this->click(fn() => $this->button('Open it again'));
        $this->dontSee('Reason: Seen from below only');
    }

    /** Its price before it is pressed, and afterwards what became better, with Undo beside it. */
    public function test_a_fix_says_what_it_costs_and_what_it_changed(): void
    {
        $this->see('Cove: visibly dull');
        // It is calculated after the picture.
        $this->button('Feed at 2 equal points');
        $this->js(
            '[...document.querySelectorAll("button.act")].find((b) => b.innerText.includes("2 equal points")).focus()',
        );
        $this->see(' EUR');
        $this->click(fn() => $this->button('Feed at 2 equal points'));
        $this->see('Cove even 0.66 to 0.95');
        $this->see('quote +');
        $this->click(fn() => $this->button('Undo'));
        $this->see('Cove: visibly dull');
    }

    public function test_a_scene_is_made_looked_at_and_taken_out(): void
    {
        $this->click(fn() => $this->button('New scene'));
        $this->find('[role=dialog] input[maxlength="40"]')->sendKeys('Stars');
        $fields = $this->browser()->driver->findElements(WebDriverBy::cssSelector('[role=dialog] fieldset input'));
        $this->click(fn() => $this->button('Save scene'));
        $this->see('Nothing is lit in it');
        $fields[0]->clear()->sendKeys('20');
        $this->assertAccessible('wire with a scene’s dialog');
        $this->click(fn() => $this->button('Save scene'));
        $this->pick('Scene', 'Stars');
        $this->see('Supplies in “Stars”');
        // A fifth of the time the full current flows: the peak is five times the average plus standby.
        $amps = fn(string $what): float => (float) trim(
            (string) strrchr($this->find("[data-figure='S1 {$what}']")->getText(), ':'),
            ': ',
        );
        self::assertEqualsWithDelta(5.0, $amps('peak') / $amps('average'), 0.3);
        $this->click(fn() => $this->button('Change it'));
        $this->click(fn() => $this->button('Remove'));
        $this->see('Supplies all at full');
    }

    public function test_fuses_joints_pins_and_fixtures_are_set(): void
    {
        $this->pick('Fuse of K1', '10 A');
        $this->kept('Fuse of K1', 'fuse-10');
        $this->pick('Joints of K2', 'lip');
        $this->kept('Joints of K2', 'connector-clip');
        $this->find('input[aria-label^="Number of X1"]')->sendKeys([Key::CONTROL, 'a', Key::NULL, '4', Key::TAB]);
        $this->see('144 W');
        $this->click(fn() => $this->find('article input[type=checkbox]'));
        $this->eventually(
            fn(): bool => $this->find('article input[type=checkbox]')->isSelected(),
            'the pin does not hold',
        );
        $this->assertAccessible('wire with fixtures');
    }

    public function test_two_layouts_stand_side_by_side(): void
    {
        $this->press('b');
        $this->find('[data-feed=f2]');
        $this->press('t');
        $this->see('Compare two layouts');
        $this->see('As in revision');
        $this->eventually(
            fn(): bool => preg_match('/even 0\.8\d, fed at 2.*even 0\.\d\d, fed at 1/s', $this->text()) === 1,
            'the two layouts are not told apart',
        );
        $this->assertAccessible('wire with two layouts');
        $this->press(Key::ESCAPE);
        $this->undoKeys();
    }

    public function test_a_run_is_split_and_put_back_together_by_keys(): void
    {
        $this->press('s');
        $this->find('[data-split=second] button.press');
        $this->assertAccessible('wire with the splits of a run');
        $this->click(fn() => $this->find('[data-split=parts] button.press'));
        $this->see('Cove 2 of 2');
        $this->press('/');
        $this->find('[role=dialog] input')->sendKeys(['rejoin', Key::ESCAPE]);
        $this->eventually(
            fn(): bool => $this->js('return document.querySelector("[role=dialog] [role=combobox]") === null') === true,
            'one press of Esc does not close the box',
        );
        $this->press('/');
        $this->find('[role=dialog] input')->sendKeys(['rejoin cove 1', Key::ENTER]);
        $this->click(fn() => $this->find('[data-split=whole] button.press'));
        $this->dontSee('Cove 2 of 2');
        $this->find('[data-feed=f1]');
    }

    private function kept(string $label, string $value): void
    {
        $this->see('Saved ');
        $this->browser()->driver->navigate()->refresh();
        $this->find('[data-feed=f1]');
        $this->eventually(
            fn(): bool => $this->browser()->driver->executeScript(
                'return document.querySelector(arguments[0])?.value',
                ["select[aria-label='{$label}']"],
            ) === $value,
            "{$label} is not {$value}",
        );
    }

    private function pick(string $label, string $option): void
    {
        $this->find("select[aria-label='{$label}']");
        $found = $this->browser()->driver->findElements(
            WebDriverBy::xpath("//select[@aria-label='{$label}']/option[contains(., '{$option}')]"),
        );
        $this->eventually(function () use ($label, $option, &$found): bool {
            $found = $this->browser()->driver->findElements(
                WebDriverBy::xpath("//select[@aria-label='{$label}']/option[contains(., '{$option}')]"),
            );

            return $found !== [];
        }, "no option {$option}");
        $found[0]->click();
    }
}
