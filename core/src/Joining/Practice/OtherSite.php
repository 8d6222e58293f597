<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Practice;

use Closure;
use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Simulation\Trap;

/** A site that differs from the one of an attempt in one thing, and what to say where that decides. */
final readonly class OtherSite
{
    /**
     * @param  list<Trap>  $without
     * @param  list<Flaw>|null  $flaws  null: the same ones
     * @param  Closure(ControlledLight): string  $says
     */
    public function __construct(public array $without, public ?array $flaws, public Closure $says) {}
}
