<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Guide;

use EmberDusk\Joining\Belief\Belief;
use EmberDusk\Joining\Belief\Chooser;
use EmberDusk\Joining\Belief\Evidence;
use EmberDusk\Joining\Belief\MostTold;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Families;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Task;

/** Fault search after a step failed twice: the answers so far, and the next cause to check. */
final class Inquiry
{
    /** After so many things looked at it is not explained. */
    private const MOST = 30;

    /** Share of what it was that is left of an excluded cause. */
    private const OUT = 0.1;

    /** @var list<Evidence> */
    private array $evidence = [];

    /** @var array{Task, JoinStep}|null */
    private ?array $failing = null;

    /** @var array<string, Suspect> by key */
    private array $suspects = [];

    /** @var array<string, true> causes checked since the step began to fail, by key */
    private array $looked = [];

    private ?Belief $belief = null;

    /** @param  list<Task>  $tasks */
    public function __construct(
        private readonly Roster $roster,
        private readonly array $tasks,
        private readonly Chooser $chooser = new MostTold(),
    ) {}

    public function add(Evidence $evidence): void
    {
        $this->evidence[] = $evidence;
        $this->belief = null;
    }

    /** Begins, or goes on, to ask about a step. False when nothing is left to ask. */
    public function open(Task $task, JoinStep $step): bool
    {
        if ($this->failing === null || $this->failing[1]->key() !== $step->key()) {
            $this->looked = [];
        }
        $this->failing = [$task, $step];
        $this->suspects = [];
        foreach ($this->suspectsOf($task) as $suspect) {
            $this->suspects[$suspect->key()] ??= $suspect;
        }
        $this->belief = null;

        return $this->step() !== null;
    }

    public function close(): void
    {
        $this->failing = null;
    }

    public function asks(): bool
    {
        return $this->failing !== null && $this->step() !== null;
    }

    /** @return array{Task, JoinStep}|null */
    public function failing(): ?array
    {
        return $this->failing;
    }

    /** An answer to the check of a suspect; null when nothing was asked. */
    public function answered(string $key, bool $wasSo): ?Suspect
    {
        $suspect = $this->suspects[$key] ?? null;
        if ($this->failing === null || $suspect === null) {
            return null;
        }
        $this->looked[$key] = true;
        $this->add(Evidence::checked($key, $wasSo));

        return $suspect;
    }

    public function belief(): ?Belief
    {
        if ($this->failing === null) {
            return null;
        }

        return $this->belief ??= Belief::from($this->suspects, $this->evidence, $this->suspectsOf(...));
    }

    /** Next cause to check; null when all were checked. */
    public function step(): ?JoinStep
    {
        $belief = $this->belief();
        if ($belief === null || $this->failing === null || count($this->looked) >= self::MOST) {
            return null;
        }
        // Nothing is asked twice until hands have done something again.
        $suspect = $this->chooser->next($belief, array_diff_key($this->suspects, $this->looked));

        return $suspect === null ? null : $this->check($suspect, $this->failing[0]);
    }

    private function check(Suspect $suspect, Task $task): JoinStep
    {
        $where = $this->roster->has($suspect->device) ? 'at ' . $this->roster->unit($suspect->device)->called() : '';

        return new JoinStep(
            task: $task->id(),
            kind: $suspect->code,
            look: Look::Mend,
            device: $suspect->device,
            title: $suspect->check,
            why: 'Perhaps ' . $suspect->says . '.',
            at: $suspect->device,
            where: $where,
            waits: $suspect->seconds,
            caution: $suspect->caution,
        );
    }

    /** @return list<array{Suspect, float}> suspects with their probability, likeliest first */
    public function ranked(): array
    {
        $shares = $this->belief()->suspects ?? [];
        arsort($shares);
        $ranked = [];
        foreach ($shares as $key => $share) {
            $ranked[] = [$this->suspects[$key], $share];
        }

        return $ranked;
    }

    /**
     * Causes that the last answer made unlikely, as text: at most a tenth of their share is left.
     *
     * @param  float  $least  share from which a cause counted before
     * @return list<string>
     */
    public function ruledOut(float $least): array
    {
        $now = $this->belief();
        if ($now === null || $this->evidence === []) {
            return [];
        }
        $before = Belief::from($this->suspects, array_slice($this->evidence, 0, -1), $this->suspectsOf(...));
        $out = [];
        foreach ($before->suspects as $key => $share) {
            if ($share >= $least && ($now->suspects[$key] ?? 0.0) < self::OUT * $share) {
                $out[] = $this->suspects[$key]->says;
            }
        }

        return $out;
    }

    /** @return list<string> causes checked without result, as text */
    public function excluded(): array
    {
        $fine = [];
        foreach (array_keys($this->looked) as $key) {
            $fine[] = $this->suspects[$key]->says ?? $key;
        }

        return $fine;
    }

    /** @return list<Suspect> */
    private function suspectsOf(Task $task): array
    {
        if (!$task->tries()) {
            return Families::get($task->family)->suspects($task, $this->roster);
        }
        $suspects = [];
        foreach ($this->tasks as $other) {
            $light =
                $other->device === $task->other ||
                ($other->what === Task::LINK && $other->other === $task->other && $other->device === $task->device);
            $control =
                $other->device === $task->device && in_array($other->what, [Task::JOIN, Task::SETUP, Task::READ], true);
            if (!$other->tries() && ($light || $control)) {
                foreach (Families::get($other->family)->suspects($other, $this->roster) as $suspect) {
                    $suspects[$suspect->key()] ??= $suspect;
                }
            }
        }

        return array_values($suspects);
    }
}
