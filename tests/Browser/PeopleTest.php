<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverSelect;

/** The owner invites an apprentice, who comes in and sees the stages of the role. */
final class PeopleTest extends BrowserTestCase
{
    public function test_an_apprentice_is_invited_comes_in_and_is_let_go(): void
    {
        $this->expectedErrors = ['status of 403', 'status of 401'];
        $this->signIn();
        $this->press('o');
        $this->see('Where you are signed in');
        $this->assertAccessible('people');
        $role = new WebDriverSelect($this->find('[aria-describedby=role-says]'));
        // A guest is of one job, which is asked for.
        $role->selectByValue('guest');
        $this->see('no other jobs');
        $this->see('of the job');
        $this->assertAccessible('people, a guest');
        $role->selectByValue('apprentice');
        $this->dontSee('of the job');
        $this->see('no prices, no changes of plans');
        $this->click(fn() => $this->button('Make a link'));
        $this->see('It is shown only now');
        $address = $this->find('.break-all')->getText();
        $this->browser()->driver->manage()->deleteAllCookies();

        $this->browser()->driver->get($address);
        $this->see('You are invited to Saltmarsh Lighting.');
        $this->assertAccessible('an invitation');
        foreach (
            ['name' => 'Young hand', 'email' => 'young@firm.example', 'new-password' => 'password2026']
            as $of => $text
        ) {
            $this->find('[autocomplete=' . ($of === 'email' ? 'username' : $of) . ']')->sendKeys($text);
        }
        $this->click(fn() => $this->button('Join the crew'));
        $this->see('among the first that are tried');
        $this->find('[autocomplete=new-password]')->sendKeys('lamp otter quartz fence');
        $this->click(fn() => $this->button('Join the crew'));
        $this->see('Jobs of Saltmarsh Lighting');
        self::assertSame(
            [],
            $this->browser()->driver->findElements(WebDriverBy::xpath("//button[starts-with(., 'New job')]")),
        );
        $this->open('/jobs/1/build');
        $this->find('[data-step]');
        $this->dontSee('EUR');
        // Stages with prices are not among the others, and closed to an address that is typed.
        self::assertSame([], $this->browser()->driver->findElements(WebDriverBy::cssSelector('nav a[href$="/parts"]')));
        $this->find('nav a[href$="/bench"]');
        $this->see('You read, rehearse, tick and log.');
        $this->assertAccessible('a job as an apprentice sees it');
        $this->open('/jobs/1/parts');
        $this->see('Your role in the crew does not include this.');
        $this->browser()->driver->manage()->deleteAllCookies();

        $this->signIn();
        $this->open('/people');
        $this->see('Young hand');
        $this->click(fn() => $this->button('Close'));
        $this->see('Young hand can no longer sign in.');
        $this->see('has left');
    }
}
