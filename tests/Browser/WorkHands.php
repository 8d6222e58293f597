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
}
