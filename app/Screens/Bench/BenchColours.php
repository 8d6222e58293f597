<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Colour order of a run: the tries so far and what they mean. */
final readonly class BenchColours implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $names
     * @param  list<string>  $css
     * @param  list<AskedColour>  $asked
     * @param  list<string>  $moves
     * @param  list<BenchLead>  $leads
     */
    public function __construct(
        public bool $pixels,
        #[Field(of: Field::TEXTS)] public array $names,
        #[Field(of: Field::TEXTS)] public array $css,
        #[Field(of: AskedColour::class)] public array $asked,
        public ?int $next,
        public int $left,
        public bool $found,
        public bool $right,
        public string $verdict,
        #[Field(of: Field::TEXTS)] public array $moves,
        #[Field(of: BenchLead::class)] public array $leads,
        public string $mends,
    ) {}
}
