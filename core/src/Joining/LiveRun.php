<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Joining\Belief\Chooser;
use EmberDusk\Joining\Belief\MostTold;
use EmberDusk\Joining\Guide\GuideProgress;
use EmberDusk\Joining\Guide\GuideSteps;
use EmberDusk\Joining\Guide\LoggedState;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Simulation\Trap;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\OutOfTurn;
use EmberDusk\Values\Refusal;

/**
 * A join run: its log, the allowed next actions, and automatic events. In a rehearsal simulated devices respond; on site the hands are real and a
 * person enters observations.
 */
final class LiveRun
{
    /** Seconds within which the same answer is the same press: pressed twice, or on two phones. */
    private const TWICE = 3.0;

    /** @var list<Event> */
    private array $log = [];

    private readonly GuideProgress $progress;

    private readonly ?SimulatedSite $site;

    /**
     * @param  list<Task>  $tasks  in their order
     * @param  list<Event>  $log  in the order of time
     * @param  list<Flaw>  $flaws faults of the simulated devices
     * @param  list<OrderRule>  $dropped
     * @param  list<Trap>  $without
     */
    public function __construct(
        public readonly Roster $roster,
        array $tasks,
        int $seed,
        array $log = [],
        public readonly bool $onSite = false,
        array $flaws = [],
        array $dropped = [],
        array $without = [],
        Chooser $chooser = new MostTold(),
    ) {
        $this->progress = new GuideProgress($roster, $tasks, new GuideSteps($roster), $dropped, $chooser);
        $this->site = $onSite ? null : Families::site($roster, $seed, $flaws, $without);
        $this->add($log);
    }

    /**
     * @param  list<Event>  $events
     * @return list<Event> the same
     */
    private function add(array $events): array
    {
        foreach ($events as $event) {
            $this->site?->apply($event);
            $this->progress->feed($event);
            $this->log[] = $event;
        }

        return $events;
    }

    /**
     * Records a newly joined device, once per run.
     *
     * @param  list<Event>  $events
     * @return list<Event> including the added ones
     */
    private function noted(array $events): array
    {
        $at = $events !== [] ? $events[count($events) - 1]->at : 0.0;
        $known = array_filter($this->log, static fn(Event $e): bool => $e->kind === Event::JOINED);
        $known = array_fill_keys(array_map(static fn(Event $e): string => $e->device, $known), true);
        $new = [];
        foreach ($this->progress->through() as $task) {
            foreach ($task->brings($this->roster) as $light) {
                if (!isset($known[$light])) {
                    $known[$light] = true;
                    $new[] = new Event($at, Event::JOINED, $light);
                }
            }
        }

        return [...$events, ...$this->add($new)];
    }

    /** @return list<Event> */
    public function log(): array
    {
        return $this->log;
    }

    public function progress(): GuideProgress
    {
        return $this->progress;
    }

    /**
     * Logs automatic events: a new entry in an app's list.
     *
     * @return list<Event> added events
     */
    public function settle(float $now): array
    {
        if ($this->site === null) {
            return [];
        }
        $this->site->advance(max($now, $this->site->now()));
        $new = [];
        foreach ($this->roster->inRole(Unit::HUB) as $hub) {
            $known = $this->progress->field->known($hub->id);
            $device = $this->site->device($hub->id);
            foreach ([$device->deadLines(), ...array_values($device->list())] as $names) {
                foreach (array_diff($names, $known) as $name) {
                    $new[] = new Event($this->site->now(), Event::FOUND, $hub->id, $name);
                }
            }
        }

        return $this->add($new);
    }

    /**
     * Logs an action or answer now, after all automatic events.
     *
     * @param  bool  $late  done while there was no signal: its time is over, so it is not refused as too early
     * @return list<Event> added events
     *
     * @throws Refusal when the device or the kind is unknown, or when nothing was asked that this would answer
     */
    public function act(string $kind, string $device, float $now, string $text = '', bool $late = false): array
    {
        $this->settle($now);
        if ($device !== '' && !$this->roster->has($device)) {
            throw InvalidInput::at('/device', "“{$device}” is no device of this run.");
        }
        $at = $this->after($now);
        if ($kind === Act::GESTURE) {
            return $this->add(Hands::at([new Act(Act::GESTURE, $device, $text)], $this->roster, $at));
        }
        if (in_array($kind, Act::HANDS, true)) {
            return $this->add([new Event($at, $kind, $device, $text)]);
        }
        if (!in_array($kind, Event::ANSWERS, true)) {
            throw InvalidInput::at('/kind', "“{$kind}” is not a step or an answer here.");
        }

        $given = Event::read($at, $kind, $device, $text);

        return $this->twice($given) ? [] : $this->answer($given, $this->next($now), $late);
    }

    /** Whether the last answer was the same, just before. */
    private function twice(Event $given): bool
    {
        $answers = array_filter($this->log, static fn(Event $e): bool => in_array($e->kind, Event::ANSWERS, true));
        $last = $answers === [] ? null : $answers[array_key_last($answers)];

        return $last !== null &&
            $given->at - $last->at <= self::TWICE &&
            [$given->kind, $given->device, $given->written()] === [$last->kind, $last->device, $last->written()];
    }

    /**
     * @return list<Event>
     *
     * @throws Refusal for an answer that is not offered
     */
    private function answer(Event $given, JoinStep $step, bool $late): array
    {
        // A lamp may answer before the list does.
        $key = $given->step?->key() ?? '';
        $asked = $given->kind === Event::SAW && $step->then?->key() !== $key ? $this->progress->asked($key) : $step;
        $offered = array_filter(
            $asked?->answers($this->onSite) ?? [],
            static fn(StepAnswer $a): bool => $a->is($given),
        );
        // Hands of a lesson are done one by one, and then ticked.
        $ticked =
            $given->kind === Event::DONE &&
            ($step->look === Look::Hand || $step->acts !== []) &&
            $given->step?->key() === $step->key();
        if ($offered === [] && !$ticked) {
            throw OutOfTurn::at('/kind', 'The run has moved on: that answers an earlier step.');
        }
        if ($ticked && !$late) {
            $this->open($step, $given->at);
        }
        $this->touched($step, $given);
        $this->acted($step, $given);
        if ($step->key() === $given->step?->key() && !$late) {
            $this->looked($step, $given);
        }
        if ($given->kind === Event::FOUND && trim($given->text) === '') {
            throw InvalidInput::at('/name', 'Type its name in the app’s list, such as “Light 1”.');
        }
        $new = [$given];
        if ($given->kind === Event::NAMED) {
            // The app is given the name as well.
            $name = explode(', ', $given->text)[0];
            foreach ($step->acts as $act) {
                array_unshift(
                    $new,
                    new Event($given->at, $act->kind, $act->device, str_replace('NAME', $name, $act->text)),
                );
            }
        }

        return $this->noted($this->add($new));
    }

    /**
     * The hands of the step that is asked for now, as the instructions have them; where nothing is looked for, that answers it.
     *
     * @return list<Event> added events
     *
     * @throws OutOfTurn
     */
    public function work(string $key, float $now, bool $late = false): array
    {
        $this->settle($now);
        $step = $this->next($now);
        if ($step->key() !== $key && str_starts_with(StepKey::read($key)->kind, LoggedState::WAIT)) {
            // The wait is over by itself.
            return [];
        }
        $done = new Event($this->after($now), Event::DONE, $step->device, step: StepKey::read($key));
        if ($step->key() !== $key) {
            throw OutOfTurn::at('/kind', 'The run has moved on: that was an earlier step.');
        }
        if ($this->twice($done)) {
            return [];
        }
        if (!$late) {
            $this->open($step, $now);
        }
        $new = $this->hands($step, $now);
        $last = $new === [] ? $this->after($now) : $new[count($new) - 1]->at;
        $new[] = new Event($last, Event::DONE, $step->device, step: StepKey::read($step->key()));

        return $this->noted($this->add($new));
    }

    /**
     * Something of a simulated device is looked at, and fixed where it is wrong.
     *
     * @param  string  $code  as in {@see Flaws::suspects()}
     * @return list<Event> added events: yes or no
     *
     * @throws Refusal on site, or when that has no function that could be looked at
     */
    public function inspect(string $device, string $code, float $now): array
    {
        if ($this->site === null || !isset((new Flaws($this->roster))->suspects()["{$code}@{$device}"])) {
            throw InvalidInput::at('/text', "“{$code}” cannot be checked there.");
        }
        $this->settle($now);
        $was = $this->site->has($code, $device);

        return $this->add([new Event($this->after($now), Event::MENDED, $device, $code, wasSo: $was)]);
    }

    /**
     * The hands of a step. In a rehearsal they begin with the press; on site they have ended with it.
     *
     * @return list<Event>
     */
    private function hands(JoinStep $step, float $now): array
    {
        $from = $this->after($now);
        $new = Hands::at($step->acts, $this->roster, $from);
        if (!$this->onSite || $new === []) {
            return $new;
        }
        $last = $this->log === [] ? 0.0 : $this->log[count($this->log) - 1]->at;
        $takes = $new[count($new) - 1]->at - $from;
        $begun = max($last, $from - $takes);
        // Quicker hands than usual: all of it lies between the last line of the log and the press.
        $pace = $takes > 0.0 ? ($from - $begun) / $takes : 0.0;

        return array_map(
            static fn(Event $e): Event => new Event($begun + ($e->at - $from) * $pace, $e->kind, $e->device, $e->text),
            $new,
        );
    }

    /** @throws OutOfTurn before the window of a step has opened, with the seconds left */
    private function open(JoinStep $step, float $now): void
    {
        $left = ($step->window[0] ?? 0.0) - $now;
        if ($left > 0.05) {
            throw OutOfTurn::at('/kind', sprintf('Too early: wait %.0F s more.', ceil($left)));
        }
    }

    /** @throws OutOfTurn for a sign of a gesture that simulated hands have not made; on site real hands may have */
    private function touched(JoinStep $step, Event $given): void
    {
        $marks = $this->progress->marks;
        $answers =
            $given->kind === Event::SAW && in_array($given->step?->key(), [$step->key(), $step->then?->key()], true);
        $gesture = $step->acts !== [] && in_array($step->look, [Look::Lamp, Look::Says], true);
        $done = isset($marks->worked[$step->key()]) || isset($marks->gestured[$step->key()]);
        if ($this->site !== null && $answers && $gesture && !$done) {
            throw OutOfTurn::at('/kind', "Do it first, then say what you saw: {$step->title}.");
        }
    }

    /** @throws OutOfTurn for Done where simulated hands have not done the step; on site only the person knows */
    private function acted(JoinStep $step, Event $given): void
    {
        $done = isset($this->progress->marks->gestured[$step->key()]);
        if (
            $this->site !== null &&
            $given->kind === Event::DONE &&
            $step->look === Look::Hand &&
            $step->acts !== [] &&
            !$done
        ) {
            throw OutOfTurn::at('/kind', "Not done yet: {$step->title}.");
        }
    }

    /** @throws OutOfTurn for nothing seen while a sign may still come */
    private function looked(JoinStep $step, Event $given): void
    {
        $left = ($step->lookUntil ?? 0.0) - $given->at;
        if ($given->seen === Observation::Nothing && $left > 0.05) {
            throw OutOfTurn::at('/kind', sprintf('Keep looking: it may still come for %.0F s.', ceil($left)));
        }
    }

    private function after(float $now): float
    {
        return max($now, $this->log === [] ? 0.0 : $this->log[count($this->log) - 1]->at);
    }

    /** The simulated devices now; null on site, where only entered observations are known. */
    public function site(): ?SimulatedSite
    {
        return $this->site;
    }

    public function next(float $now): JoinStep
    {
        return $this->progress->next($now);
    }

    public function done(float $now): bool
    {
        return $this->next($now)->look === Look::End;
    }
}
