<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Control\Presets;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Job\JobState;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\JoinBlock;
use EmberDusk\Joining\Prerequisite;
use EmberDusk\Joining\Prerequisites;
use EmberDusk\Joining\Recovery;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\CrewNote;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Step;

/** Data before a run: blocked units, preparations, used devices, estimated time. */
final readonly class JoinStart implements View
{
    use WrittenRecord;

    /**
     * @param  list<JoinBlocked>  $blocked
     * @param  list<JoinNeedView>  $needs
     * @param  list<JoinUnit>  $units
     * @param  list<CrewNote>  $notes
     * @param  list<JoinPanel>  $panels
     * @param  list<JoinLoss>  $losses
     */
    public function __construct(
        public bool $ready,
        #[Field(of: JoinBlocked::class)] public array $blocked,
        #[Field(of: JoinNeedView::class)] public array $needs,
        #[Field(of: JoinUnit::class)] public array $units,
        public int $steps,
        public float $minutes,
        public int $planned,
        #[Field(of: CrewNote::class)] public array $notes,
        #[Field(of: JoinPanel::class)] public array $panels,
        #[Field(of: JoinLoss::class)] public array $losses,
    ) {}

    /** @param  list<string>  $there  keys of ticked preparations */
    public static function for(JobState $state, array $there): self
    {
        $plan = $state->plan;
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
            $run = Rehearsal::run($joinable->roster->storing(Presets::for($plan)->stored($plan)), 1);
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
            planned: (int) array_sum(
                array_map(
                    static fn(Step $s): int => $s->kind === Work::Join ? $s->minutes : 0,
                    $state->schedule()->steps,
                ),
            ),
            notes: $state->notes,
            panels: array_values(
                array_map(
                    static fn(Unit $u): JoinPanel => new JoinPanel(
                        id: $u->id,
                        label: $u->label(),
                        name: $u->name,
                        fixed: isset($state->ticks["item-{$u->item}"]),
                    ),
                    $joinable->roster->inRole(Unit::PANEL),
                ),
            ),
            losses: array_map(
                static fn(Recovery $r): JoinLoss => new JoinLoss(key: $r->key(), title: $r->title, says: $r->says),
                array_values(
                    array_filter(
                        $joinable->any() ? Recovery::all($joinable->roster) : [],
                        static fn(Recovery $r): bool => $r->roster->wants !== [],
                    ),
                ),
            ),
        );
    }
}
