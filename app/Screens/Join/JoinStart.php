<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\JoinBlock;
use EmberDusk\Joining\Prerequisite;
use EmberDusk\Joining\Prerequisites;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\CrewNote;
use EmberDusk\Plan\Plan;

/** Data before a run: blocked units, preparations, used devices, estimated time. */
final readonly class JoinStart implements View
{
    use WrittenRecord;

    /**
     * @param  list<JoinBlocked>  $blocked
     * @param  list<JoinNeedView>  $needs
     * @param  list<JoinUnit>  $units
     * @param  list<CrewNote>  $notes
     */
    public function __construct(
        public bool $ready,
        #[Field(of: JoinBlocked::class)] public array $blocked,
        #[Field(of: JoinNeedView::class)] public array $needs,
        #[Field(of: JoinUnit::class)] public array $units,
        public int $steps,
        public float $minutes,
        #[Field(of: CrewNote::class)] public array $notes,
    ) {}

    /**
     * @param  list<string>  $there keys of ticked preparations
     * @param  list<CrewNote>  $notes
     */
    public static function for(Plan $plan, array $there, array $notes): self
    {
        $joinable = Joinable::for($plan);
        $needs = [];
        $steps = 0;
        $minutes = 0.0;
        if ($joinable->any()) {
            $needs = array_map(
                static fn(Prerequisite $n): JoinNeedView => new JoinNeedView(
                    key: $n->key,
                    what: $n->what,
                    detail: $n->detail,
                    there: in_array($n->key, $there, true),
                ),
                Prerequisites::for($joinable->roster, $plan),
            );
            $run = Rehearsal::run($joinable->roster, 1);
            $steps = count($run->trail);
            $minutes = round($run->seconds / 60, 1);
        }

        return new self(
            ready: $joinable->any(),
            blocked: array_map(
                static fn(JoinBlock $b): JoinBlocked => new JoinBlocked(title: $b->title, detail: $b->detail),
                $joinable->blocked,
            ),
            needs: $needs,
            units: array_values(
                array_map(
                    static fn(Unit $u): JoinUnit => new JoinUnit(
                        id: $u->id,
                        label: $u->label(),
                        name: $u->name,
                        item: $u->item,
                        used: $u->used,
                    ),
                    array_filter($joinable->roster->units, static fn(Unit $u): bool => $u->item !== ''),
                ),
            ),
            steps: $steps,
            minutes: $minutes,
            notes: $notes,
        );
    }
}
