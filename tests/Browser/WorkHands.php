<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Hands on the stages at which the work is planned. */
trait WorkHands
{
    protected function setUp(): void
    {
        $this->signIn();
    }

    private function choose(string $select, string $value): void
    {
        $this->click(fn() => $this->find("{$select} option[value=\"{$value}\"]"));
    }

    private function blur(): void
    {
        $this->js('document.activeElement.blur()');
    }

    /** The cheapest kit for a run of the job that is open at Kit. */
    private function takeOver(string $run): void
    {
        $this->see('Take A over');
        $this->click(fn() => $this->button($run));
        $this->click(fn() => $this->button('Take A over'));
        $this->dontSee("{$run} lacks a strip");
    }
}
