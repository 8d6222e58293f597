<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;

/** Parts and Build by hand: a part is ordered, the day plan waits for it, steps are ticked off. */
final class WorkTest extends BrowserTestCase
{
    public function test_a_part_is_ordered_the_plan_waits_and_steps_are_ticked(): void
    {
        $this->signIn();
        $this->open('/jobs/1/parts');
        $this->see('no fewer would do');
        $this->see('without a strip yet');
        $this->choose('[data-part="cable-3x15"] select', 'ordered');
        $this->find('[data-part="cable-3x15"] input[type=date]');
        $day = date('Y-m-d', (int) strtotime('+14 days'));
        $this->browser()->driver->executeScript("const f = document.querySelector('[data-part=\"cable-3x15\"] input[type=date]'); f.value = '{$day}'; f.dispatchEvent(new Event('change', {bubbles: true}))");
        $this->eventually(fn (): bool => $this->browser()->driver->executeScript("return document.querySelector('[data-part=\"cable-3x15\"] input[type=date]')?.value") === $day, 'the day is not kept');
        $this->browser()->driver->executeScript('document.activeElement.blur()');
        $this->press('m');
        $this->choose('[data-part="hub-zigbee"] select', 'here');
        $this->eventually(fn (): bool => $this->browser()->driver->findElements(WebDriverBy::cssSelector('[data-part="hub-zigbee"]')) === [], 'what is in hand is not missing');
        $this->assertAccessible('parts');
        $this->browser()->driver->executeScript('document.activeElement.blur()');
        $this->press('q');
        $this->button('Note it as given')->click();
        $this->see('Nothing has changed since.');
        $this->assertAccessible('quote');
        $this->press(Key::ESCAPE);
        $this->open('/jobs/1/labels');
        $this->see('16 labels on 1 sheet');
        $this->eventually(fn (): bool => count($this->browser()->driver->findElements(WebDriverBy::cssSelector('.code svg'))) === 16, 'the codes are not drawn');
        $this->assertAccessible('labels');
        $this->open('/jobs/1/build');
        $this->see('Waits for 3 x 1.5 mm² flexible');
        self::assertGreaterThan(1, count($this->browser()->driver->findElements(WebDriverBy::cssSelector('main section h2'))), 'work goes on when the cable is here');
        $this->find('input[type=checkbox]')->click();
        $this->see('took');
        $this->see('1of 12');
        $this->browser()->driver->findElements(WebDriverBy::cssSelector('input[name=people]'))[1]->click();
        $this->see('two people');
        $this->eventually(fn (): bool => $this->browser()->driver->findElements(WebDriverBy::cssSelector('input[name=people]'))[1]->isSelected(), 'two people are not kept');
        $this->assertAccessible('build');
    }

    private function choose(string $select, string $value): void
    {
        $this->find("{$select} option[value=\"{$value}\"]")->click();
    }
}
