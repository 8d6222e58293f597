<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Record\CheckedRecord;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\Record;

/**
 * A show: scenes in turn with their times, random colours, a colour running across the lights, or lights that follow sound.
 */
final readonly class Show implements CheckedRecord
{
    use Record;

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
     * @param  list<string>  $lights  controllers, modules or pixel runs, in their order, of every other kind
     * @param  float  $every  seconds from one change to the next, of every kind but a list
     * @param  string  $way  of a colour that runs
     * @param  int  $rounds  0 goes on and on
     * @param  string  $leader the light that the others follow, such as the controller with the microphone; empty: all start together
     */
    public function __construct(
        #[Field(longest: 40)] public string $id,
        #[Field(longest: 40)] public string $name,
        #[Field(oneOf: self::KINDS)] public string $kind,
        #[Field(of: ShowStep::class)] public array $steps = [],
        #[Field(of: Field::TEXTS)] public array $lights = [],
        #[Field(0.01, self::LONGEST)] public float $every = 5.0,
        #[Field(oneOf: self::WAYS)] public string $way = 'forth',
        #[Field(0, 10_000)] public int $rounds = self::ENDLESS,
        #[Field(longest: 40)] public string $leader = '',
    ) {}

    public function checked(Fields $f): self
    {
        return $this->withChanged(
            name: trim($this->name),
            steps: array_slice($this->steps, 0, self::MOST),
            lights: array_slice($this->lights, 0, self::MOST),
        );
    }

    public function called(string $id): self
    {
        return $this->withChanged(id: $id);
    }

    /**
     * Without scenes and lights that the job has no longer.
     *
     * @param  callable(string): bool  $scene  whether it is there
     * @param  callable(string): bool  $light  likewise
     */
    public function keeping(callable $scene, callable $light): self
    {
        $leader = $this->leader !== '' && $light($this->leader) ? $this->leader : '';

        return $this->withChanged(
            steps: array_values(array_filter($this->steps, static fn(ShowStep $s): bool => $scene($s->scene))),
            lights: array_values(array_filter($this->lights, $light)),
            leader: $leader,
        );
    }
}
