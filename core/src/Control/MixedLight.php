<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Circuit\Colour;

/** Duties for what was asked of a light, the colour that is seen, and what cannot be. */
final readonly class MixedLight
{
    /**
     * @param  list<float>  $duties  by channel
     * @param  string  $note  why it is not quite what was asked; empty where it is
     */
    public function __construct(public array $duties, public Colour $seen, public string $note) {}
}
