<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** A light of the answer board that joins nothing itself: a segment of a run, or fixtures on a module. */
final readonly class BoardRow
{
    /** @param  string  $of  the device whose answer it shares; empty where nothing by radio reaches it */
    public function __construct(
        public string $id,
        public string $label,
        public string $name,
        public string $place,
        public string $kind,
        public string $of = '',
        public string $why = '',
    ) {}
}
