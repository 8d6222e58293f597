<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;

/** Parts and Build by hand: from the plan to quote, packed van, labels and day plan. */
final class WorkTest extends BrowserTestCase
{
    use WorkHands;

    public function test_the_observatory_goes_from_plan_to_packed_van(): void
    {
        $this->open('/jobs/1/parts');
        $this->see('fewest lengths possible');
        $this->see('no strip chosen');
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
        $this->see('needed for Cove: lay cables');
        $this->working('[data-part="profile-flat"] [data-figure="Cost"]', ['(b - o) * p', '130.00']);
        $this->working('[data-part="connector-solder"] [data-figure="Planned"]', [
            'a1 + a2',
            'its strip is joined at 3 places',
        ]);
        $this->find('[data-part="connector-solder"] input')->sendKeys([Key::CONTROL, 'a', Key::NULL, '6', Key::TAB]);
        $this->eventually(
            fn(): bool => str_contains(
                $this->find('[data-part="connector-solder"] [data-figure="Buy"]')->getText(),
                '18',
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
        $this->click(fn() => $this->button('Mark as sent'));
        $this->see('No changes since.');
        // The effect of other terms is shown before they are saved.
        $this->find('[name="hourRate"]')->sendKeys([Key::CONTROL, 'a', Key::NULL, '50']);
        $this->see('The quote would change by');
        $this->see('Laying cables');
        $this->assertAccessible('quote');
        $this->click(fn() => $this->button('Save terms'));
        $this->eventually(
            fn(): bool => !str_contains($this->find('[role="dialog"]')->getText(), 'would change by') &&
                str_contains($this->find('[role="dialog"]')->getText(), 'Changes since'),
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
        $this->see('1of 27');
        $this->see('took');
        $this->assertAccessible('build');
        $this->open('/jobs/1/day-sheets');
        $this->see('Cove: trial fit');
        $this->see('tape measure');
    }

    public function test_one_piece_offcuts_and_how_a_run_is_made_up(): void
    {
        $this->open('/jobs/1/parts');
        $this->see('fewest lengths possible');
        $this->press('w');
        $this->choose('[data-making="cove"] [data-field="length"]', 'never');
        $this->see('joints are not allowed');
        $this->assertAccessible('parts with a run’s making');
        $this->click(fn() => $this->button('Allow joints in Cove'));
        $this->dontSee('joints are not allowed');
        $this->click(fn() => $this->button('Offcuts in the van'));
        $this->find('[role=dialog] input')->sendKeys(['4,5', Key::ENTER]);
        $this->see('4.50');
        $this->assertAccessible('offcuts');
        $this->press(Key::ESCAPE);
        // 18 m: three reels of five and the offcut of four and a half.
        $this->see('of 5.00 m, 1 offcut');
        $this->working('figure [data-figure="Bought"]', ['(P - O) / L + r', 'Fewest possible']);
        self::assertStringContainsString('3', $this->find('figure [data-figure="Bought"]')->getText());
        $this->choose('[data-part="strip-tunable-24"] select', 'packed');
        $this->see('1of 15');
        $this->open('/jobs/1/van');
        $this->see('offcut of 4.50 m');
    }

    public function test_the_narrowboat_goes_from_plan_to_quote_labels_and_day_plan(): void
    {
        $this->open('/jobs/2/kit');
        $this->see('Options for ');
        $this->chooseFirstOption('Port', 'port');
        $this->firstOption(2, 'star');
        $this->open('/jobs/2/parts');
        $this->see('fewest lengths possible');
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
        $this->see('Current quote');
        $this->press(Key::ESCAPE);
        $this->open('/jobs/2/van');
        $this->see('packed');
        $this->open('/jobs/2/labels');
        $this->see('labels on');
        $this->open('/jobs/2/build');
        $this->see('seal the ends with silicone');
        $this->see('cures');
        $this->open('/jobs/2/day-sheets');
        $this->see('Port: trial fit');
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
}
