<?php

declare(strict_types=1);

namespace App\Results;

use App\Facts\LogBook;
use App\Facts\Offcuts;
use App\Facts\Ticks;
use App\History\OwnChanges;
use App\Kit\KitNotes;
use App\Kit\Shelves;
use App\Models\Job;
use App\Models\JoinEvent;
use App\Models\PartMark;
use App\Models\Revision;
use App\Models\User;
use App\People\Permission;
use App\Screens\Desk\AnswerView;
use App\Screens\Screen;
use App\Time\Clock;
use EmberDusk\Bench\Log\BenchFacts;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\UnpricedShelf;
use EmberDusk\Parts\Mark;
use EmberDusk\Plan\Plan;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Values\JobStage;

/** Puts a job's plan, results, shelf and join facts before the core and hands its answer on. */
final readonly class JobLoader
{
    public function __construct(private ResultCache $results, private BenchCache $bench, private KitNotes $notes) {}

    /**
     * @param  list<string>  $open  runs that are shown large
     * @param  bool  $priced  whether for someone who may see prices
     */
    public function load(
        Job $job,
        Plan $plan,
        ?Shelves $shelf = null,
        ?string $scene = null,
        array $open = [],
        bool $everyScene = false,
        bool $priced = true,
    ): JobState {
        $results = $this->results->for($plan);
        $shelf ??= Shelves::ofCrew($job->crew);

        return new JobState(
            plan: $priced ? $plan : $plan->unpriced(),
            results: $results,
            shelf: $priced ? $shelf : new UnpricedShelf($shelf),
            joined: self::joined($job),
            scenes: $this->results->scenes($plan, $results, $scene, $everyScene),
            scene: isset($plan->scenes[$scene ?? '']) ? $scene : null,
            open: $open,
            marks: $job
                ->partMarks()
                ->get()
                ->mapWithKeys(static fn(PartMark $m): array => [$m->part => new Mark($m->state, $m->arrives)])
                ->all(),
            today: Clock::day(),
            arrangement: $job->arrangement()->first()?->read() ?? new Arrangement(),
            ticks: Ticks::for($job, $plan),
            productivity: Ticks::productivity($job),
            offcuts: Offcuts::for($job),
            time: Clock::hour(),
            bench: new BenchFacts(LogBook::entries($job)),
            solver: $this->bench,
            worked: self::worked($job),
            zone: Clock::zone(),
            notes: $this->notes->for($job->crew, $plan),
            priced: $priced,
        );
    }

    /**
     * @param  list<string>  $open  runs that are shown large
     */
    public function answer(
        Job $job,
        User $user,
        Revision $revision,
        JobStage $stage,
        ?string $scene = null,
        array $open = [],
    ): AnswerView {
        $stack = OwnChanges::for($job, $user);

        return new AnswerView(
            job: $job->id,
            revision: $revision->number,
            keptAt: $revision->created_at->toIso8601String(),
            undo: $stack->words('undo'),
            redo: $stack->words('redo'),
            desk: Screen::for(
                $stage,
                $this->load(
                    job: $job,
                    plan: $revision->plan(),
                    scene: $scene,
                    open: $open,
                    everyScene: $stage === JobStage::Scenes,
                    priced: $user->role->may(Permission::Prices),
                ),
            ),
        );
    }

    /** @return list<string> controls tested on site that worked, by control and light */
    private static function worked(Job $job): array
    {
        return array_values(
            JoinEvent::answered($job)
                ->distinct()
                ->get('task')
                ->map(static fn(JoinEvent $e): string => $e->pair())
                ->all(),
        );
    }

    /** @return list<string> lights that a run on site has joined: a rehearsal joins nothing */
    private static function joined(Job $job): array
    {
        return array_values(
            JoinEvent::query()
                ->whereIn('join_run_id', $job->joinRuns()->where('site', true)->select('id'))
                ->whereIn('kind', ['named', 'joined'])
                ->distinct()
                ->pluck('device')
                ->map(static fn(mixed $d): string => is_string($d) ? $d : '')
                ->all(),
        );
    }
}
