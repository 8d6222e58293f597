<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;

/** A job that begins on the phone to the client: no tape, a battery, and a light curve a few actions later. */
final class FromNothingTest extends BrowserTestCase
{
    public function test_a_cart_on_batteries_goes_from_a_name_to_its_light(): void
    {
        $this->signIn();
        $this->press('n');
        $this->find('[role=dialog] input')->sendKeys('Kiln cart');
        $this->click(fn() => $this->radio('measure the walls later'));
        $this->find('[placeholder="5.20"]')->sendKeys('3,4');
        $this->click(fn() => $this->button('a vehicle'));
        $this->find('[aria-label="Battery blocks"]')->sendKeys('3 of 8 V');
        $this->assertAccessible('a job without measured walls');
        $this->click(fn() => $this->button('Choose the kit'));
        $this->see('Converter 18-32 V to 12 V');
        $this->click(fn() => $this->button('Choose B'));
        $this->dontSee('Rail lacks');
        $this->click(fn() => $this->button('Choose parts'));
        $this->see('In-line switch');
        $this->press('e');
        $this->find('[placeholder="remote, plug, set"]')->sendKeys('eight zones');
        $this->click(fn() => $this->button('Add'));
        $this->find('[data-item=i1]');
        $this->assertAccessible('kit, also in the job');
        $this->press(Key::ESCAPE);
        $this->open('/jobs/3/wire');
        $this->find('[data-feed]');
        $this->find('[data-figure="Evenness"]');
        // Three volts of the bank side by side, the cable from it to its converter among the others.
        $this->see('on charge');
        $this->see('28.8');
        $this->see('S2 to S1');
    }

    /** Three answers instead of a table of parts: the options that suit, with the remote that was asked for. */
    public function test_three_answers_lead_to_the_options_that_suit(): void
    {
        $this->signIn();
        $this->press('n');
        $this->find('[role=dialog] input')->sendKeys('Hall shelf');
        $this->click(fn() => $this->radio('measure the walls later'));
        $this->click(fn() => $this->button('a shelf'));
        $this->find('[placeholder="5.20"]')->sendKeys('3');
        $this->click(fn() => $this->button('Choose the kit'));
        $this->see('Three answers show the options that suit');
        $this->click(fn() => $this->button('warm to cool white'));
        $this->click(fn() => $this->button('a remote'));
        $this->click(fn() => $this->button('accent light'));
        $this->see('Zigbee remote, four zones');
        $this->dontSee('Three answers show');
        $this->find('[data-options]');
        $this->assertAccessible('options for three answers');
        $this->click(fn() => $this->button('Choose A'));
        $this->dontSee('Shelf lacks');
        // In the job: it is bought, joined and handed over.
        $this->see('Other items 1');
    }

    private function radio(string $label): \Facebook\WebDriver\Remote\RemoteWebElement
    {
        return $this->browser()->driver->findElement(
            WebDriverBy::xpath("//label[contains(normalize-space(.), '{$label}')]/input[@type='radio']"),
        );
    }
}
