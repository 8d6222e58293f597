<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\Bench\AcceptedPoint;
use App\Screens\View;
use EmberDusk\Checks\SlateLine;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Plan\Limits;
use EmberDusk\Values\Copies;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;

/** Data of every stage: the stage strip, the open points, the ledger, and the picture of the stage. */
final readonly class Desk implements View
{
    use Copies;
    use WrittenRecord;

    /**
     * @param  list<StageLamp>  $stages
     * @param  list<Finding>  $findings
     * @param  list<AcceptedPoint>  $accepted
     * @param  list<SlateLine>  $slate
     * @param  list<Figure>  $ledger
     */
    public function __construct(
        public string $job,
        public string $client,
        public string $stage,
        public Limits $limits,
        #[Field(of: StageLamp::class)] public array $stages,
        #[Field(of: Finding::class)] public array $findings,
        #[Field(of: AcceptedPoint::class)] public array $accepted,
        #[Field(of: SlateLine::class)] public array $slate,
        #[Field(of: Figure::class)] public array $ledger,
        #[Field(inline: true)] public Pictures $pictures,
    ) {}

    /** @param  array<string, string>  $known  hashes of rows that the page has, by id */
    public function without(array $known): self
    {
        return $known === [] ? $this : $this->withChanged(pictures: $this->pictures->without($known));
    }
}
