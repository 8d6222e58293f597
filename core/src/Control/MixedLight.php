<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Circuit\Colour;

/** Duties for a requested light, the resulting colour, and the reason for any difference. */
final readonly class MixedLight
{
    /**
     * @param  list<float>  $duties  by channel
     * @param  string  $note reason for a difference; empty if exact
     */
    public function __construct(public array $duties, public Colour $seen, public string $note) {}
}
