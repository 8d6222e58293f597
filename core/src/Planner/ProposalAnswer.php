<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;
use EmberDusk\Values\JsonWritable;

/** A proposal in words and figures. */
final readonly class ProposalAnswer implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  bool  $whole  whether every run has a layout that holds
     * @param  list<ClashingRuns>  $clashes
     * @param  ProposedWay|null  $nearest  where no layout holds
     * @param  list<LeftRun>  $left
     * @param  list<CheaperWay>  $cheaper
     * @param  list<AlternativeWay>  $alternatives
     * @param  string  $gap  of cost and bound, in per cent; empty where it is proven
     * @param  int  $solved  circuits
     * @param  list<string>  $stays  open points of the proposed layout, with tolerances
     * @param  list<string>  $added  other open points that the job has only with it
     * @param  list<WishChoice>  $wishes  choices whose price can be asked for
     */
    public function __construct(
        public ?ProposedWay $found,
        public bool $whole,
        #[Field(of: ClashingRuns::class)] public array $clashes,
        public ?ProposedWay $nearest,
        #[Field(of: LeftRun::class)] public array $left,
        #[Field(of: CheaperWay::class)] public array $cheaper,
        #[Field(of: AlternativeWay::class)] public array $alternatives,
        public Figure $bound,
        public string $gap,
        public int $solved,
        public bool $stopped,
        public ?DrawnWay $drawn,
        #[Field(of: WishChoice::class)] public array $wishes,
        #[Field(of: Field::TEXTS)] public array $stays,
        #[Field(of: Field::TEXTS)] public array $added,
    ) {}
}
