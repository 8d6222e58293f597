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

    /** By hand at Kit: a run is chosen, then the first option of it once it is there. */
    private function chooseFirstOption(string $run, string $id): void
    {
        $this->click(fn() => $this->button($run));
        $this->find("[data-options=\"{$id}\"]");
        $revision = $this->revision();
        $this->click(fn() => $this->button('Choose A'));
        $this->eventually(fn(): bool => $this->revision() > $revision, "the option for {$run} is not kept");
    }
}
