<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Bench\Helpers\HelperCircuit;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** A helper circuit: parts, figures, broken limits, leads, picture and netlist. */
final readonly class HelperView implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $parts
     * @param  list<Figure>  $figures
     * @param  list<string>  $stops
     * @param  list<string>  $leads
     */
    public function __construct(
        public string $title,
        #[Field(of: Field::TEXTS)] public array $parts,
        #[Field(of: Figure::class)] public array $figures,
        #[Field(of: Field::TEXTS)] public array $stops,
        #[Field(of: Field::TEXTS)] public array $leads,
        public string $svg,
        public string $netlist,
        public string $caution,
        public string $words,
    ) {}

    public static function for(HelperCircuit $circuit): self
    {
        return new self(
            title: $circuit->title,
            parts: $circuit->parts,
            figures: $circuit->figures,
            stops: $circuit->stops,
            leads: $circuit->leads,
            svg: $circuit->svg,
            netlist: $circuit->netlist,
            caution: HelperCircuit::CAUTION,
            words: $circuit->words(),
        );
    }
}
