<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A test of a run: what to do and expect, the steps otherwise, and the entries. */
final readonly class BenchTestView implements View
{
    use WrittenRecord;

    /** @param  list<string>  $open Open findings that contradict a pass. */
    public function __construct(
        public string $id,
        public string $step,
        public string $stepTitle,
        public string $title,
        #[Field(oneOf: ['tick', 'colours', 'order', 'count', 'matrix', 'read'])] public string $asks,
        public string $by,
        public string $do,
        public string $see,
        public string $otherwise,
        public string $caution,
        public bool $done,
        public string $at,
        public string $failed,
        #[Field(of: Field::TEXTS)] public array $open,
        public int $minutes,
    ) {}
}
