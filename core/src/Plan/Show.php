<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Values\Copies;

/**
 * A show: scenes in turn with their times, random colours, a colour running across the lights, or lights that follow sound.
 */
final readonly class Show
{
    use Copies;

    public const LIST = 'list';

    public const RANDOM = 'random';

    public const WASH = 'wash';

    public const SOUND = 'sound';

    public const KINDS = [
        self::LIST => 'scenes in turn',
        self::RANDOM => 'random colours',
        self::WASH => 'a colour running across the lights',
        self::SOUND => 'lights that follow sound',
    ];

    public const WAYS = [
        'forth' => 'from the first to the last',
        'back' => 'from the last to the first',
        'both' => 'back and forth',
    ];

    /** Seconds of a step at most: a day. */
    public const LONGEST = 86_400.0;

    /** Most steps, rounds and shows. */
    public const MOST = 100;

    /** It continues until something else starts. */
    public const ENDLESS = 0;

    /**
     * @param  list<ShowStep>  $steps  of a list
     * @param  list<string>  $lights  controllers, boards or pixel runs, in their order, of every other kind
     * @param  float  $every  seconds from one change to the next, of every kind but a list
     * @param  string  $way  of a colour that runs
     * @param  int  $rounds  0 goes on and on
     * @param  string  $leader the light that the others follow, such as the controller with the microphone; empty: all start together
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $kind,
        public array $steps = [],
        public array $lights = [],
        public float $every = 5.0,
        public string $way = 'forth',
        public int $rounds = self::ENDLESS,
        public string $leader = '',
    ) {}

    /** @throws \EmberDusk\Values\Refusal at what cannot be */
    public static function read(Fields $f): self
    {
        return new self(
            id: $f->string('id', 40),
            name: trim($f->string('name', 40)),
            kind: $f->oneOf('kind', array_keys(self::KINDS)),
            steps: array_map(ShowStep::read(...), array_slice($f->objects('steps'), 0, self::MOST)),
            lights: array_slice($f->strings('lights'), 0, self::MOST),
            every: $f->number('every', 0.01, self::LONGEST),
            way: $f->oneOf('way', array_keys(self::WAYS)),
            rounds: $f->whole('rounds', 0, 10_000),
            leader: $f->string('leader', 40),
        );
    }

    public function called(string $id): self
    {
        return $this->withChanged(id: $id);
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'kind' => $this->kind,
            'steps' => array_map(static fn(ShowStep $s): array => $s->write(), $this->steps),
            'lights' => $this->lights,
            'every' => $this->every,
            'way' => $this->way,
            'rounds' => $this->rounds,
            'leader' => $this->leader,
        ];
    }

    /**
     * Without scenes and lights that the job has no longer.
     *
     * @param  callable(string): bool  $scene  whether it is there
     * @param  callable(string): bool  $light  likewise
     */
    public function of(callable $scene, callable $light): self
    {
        $leader = $this->leader !== '' && $light($this->leader) ? $this->leader : '';

        return $this->withChanged(
            steps: array_values(array_filter($this->steps, static fn(ShowStep $s): bool => $scene($s->scene))),
            lights: array_values(array_filter($this->lights, $light)),
            leader: $leader,
        );
    }
}
