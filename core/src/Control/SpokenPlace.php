<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** Position of a name in a command. */
final readonly class SpokenPlace
{
    /**
     * @param  int  $at  its first word
     * @param  int  $words  how many it takes
     * @param  bool  $exact  letter by letter, or only of the same sound
     * @param  list<string>  $lights
     */
    public function __construct(public int $at, public int $words, public bool $exact, public array $lights) {}
}
