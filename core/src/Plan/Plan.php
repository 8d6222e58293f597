<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Values\InvalidInput;

/** A job's complete, immutable design. Lists are kept by id, in the natural order of the ids. */
final readonly class Plan implements JsonReadable
{
    use KitOfPlan;
    use Record;
    use TidyPlan;

    /**
     * @param  array<string, Place>  $places
     * @param  array<string, Run>  $runs
     * @param  array<string, Device>  $supplies
     * @param  array<string, Device>  $controllers
     * @param  array<string, Device>  $hubs
     * @param  array<string, Device>  $modules
     * @param  array<string, Fitting>  $fixtures
     * @param  array<string, Splice>  $splices
     * @param  array<string, Feed>  $feeds
     * @param  array<string, LaidCable>  $cables
     * @param  array<string, DataLine>  $lines
     * @param  array<string, Segment>  $segments
     * @param  array<string, Light>  $lights
     * @param  array<string, Scene>  $scenes
     * @param  array<string, Owned>  $owned
     * @param  array<string, Requirement>  $options
     * @param  array<string, Assembly>  $makings
     * @param  array<string, Spare>  $spares
     * @param  array<string, Item>  $items
     * @param  array<string, Split>  $splits  by the id of the run that was split
     * @param  array<string, Answer>  $answers
     * @param  array<string, Tuning>  $tunings
     * @param  array<string, Show>  $shows
     * @param  array<string, Trigger>  $triggers
     * @param  array<string, KitSnapshot>  $kit
     */
    public function __construct(
        public string $name,
        public string $client,
        public Limits $limits = new Limits(),
        public Terms $terms = new Terms(),
        public ?Position $position = null,
        #[Field(of: Place::class, keyed: true)] public array $places = [],
        #[Field(of: Run::class, keyed: true)] public array $runs = [],
        #[Field(of: Device::class, keyed: true)] public array $supplies = [],
        #[Field(of: Device::class, keyed: true)] public array $controllers = [],
        #[Field(of: Device::class, keyed: true)] public array $hubs = [],
        #[Field(of: Device::class, keyed: true)] public array $modules = [],
        #[Field(of: Fitting::class, keyed: true)] public array $fixtures = [],
        #[Field(of: Splice::class, keyed: true)] public array $splices = [],
        #[Field(of: Feed::class, keyed: true)] public array $feeds = [],
        #[Field(of: LaidCable::class, keyed: true)] public array $cables = [],
        #[Field(of: DataLine::class, keyed: true)] public array $lines = [],
        #[Field(of: Segment::class, keyed: true)] public array $segments = [],
        #[Field(of: Light::class, keyed: true)] public array $lights = [],
        #[Field(of: Scene::class, keyed: true)] public array $scenes = [],
        #[Field(of: Owned::class, keyed: true)] public array $owned = [],
        #[Field(of: Requirement::class, keyed: true)] public array $options = [],
        #[Field(of: Assembly::class, keyed: true)] public array $makings = [],
        #[Field(of: Spare::class, keyed: true)] public array $spares = [],
        #[Field(of: Item::class, keyed: true)] public array $items = [],
        #[Field(of: Split::class, keyed: true)] public array $splits = [],
        #[Field(of: Answer::class, keyed: true)] public array $answers = [],
        #[Field(of: Tuning::class, keyed: true)] public array $tunings = [],
        #[Field(of: Show::class, keyed: true)] public array $shows = [],
        #[Field(of: Trigger::class, keyed: true)] public array $triggers = [],
        #[Field(of: KitSnapshot::class, keyed: true)] public array $kit = [],
    ) {}

    /** For those who may not see prices: nothing in it says what kit or work costs. */
    public function unpriced(): self
    {
        return $this->with(
            kit: array_map(static fn(KitSnapshot $k): KitSnapshot => $k->unpriced(), $this->kit),
            terms: $this->terms->unpriced(),
        );
    }

    /**
     * The same plan with some lists changed; kit that nothing uses any more is dropped.
     *
     * @param  array<string, Place>|null  $places
     * @param  array<string, Run>|null  $runs
     * @param  array<string, Device>|null  $supplies
     * @param  array<string, Device>|null  $controllers
     * @param  array<string, Device>|null  $hubs
     * @param  array<string, Device>|null  $modules
     * @param  array<string, Fitting>|null  $fixtures
     * @param  array<string, Splice>|null  $splices
     * @param  array<string, Feed>|null  $feeds
     * @param  array<string, LaidCable>|null  $cables
     * @param  array<string, DataLine>|null  $lines
     * @param  array<string, Segment>|null  $segments
     * @param  array<string, Light>|null  $lights
     * @param  array<string, Scene>|null  $scenes
     * @param  array<string, Owned>|null  $owned
     * @param  array<string, Requirement>|null  $options
     * @param  array<string, Assembly>|null  $makings
     * @param  array<string, Spare>|null  $spares
     * @param  array<string, Item>|null  $items
     * @param  array<string, Split>|null  $splits
     * @param  array<string, Answer>|null  $answers
     * @param  array<string, Tuning>|null  $tunings
     * @param  array<string, Show>|null  $shows
     * @param  array<string, Trigger>|null  $triggers
     * @param  array<string, KitSnapshot>|null  $kit
     */
    public function with(
        ?string $name = null,
        ?string $client = null,
        ?Limits $limits = null,
        ?Terms $terms = null,
        ?array $places = null,
        ?array $runs = null,
        ?array $supplies = null,
        ?array $controllers = null,
        ?array $hubs = null,
        ?array $modules = null,
        ?array $fixtures = null,
        ?array $splices = null,
        ?array $feeds = null,
        ?array $cables = null,
        ?array $lines = null,
        ?array $segments = null,
        ?array $lights = null,
        ?array $scenes = null,
        ?array $owned = null,
        ?array $options = null,
        ?array $makings = null,
        ?array $spares = null,
        ?array $items = null,
        ?array $splits = null,
        ?array $answers = null,
        ?array $tunings = null,
        ?array $shows = null,
        ?array $triggers = null,
        ?array $kit = null,
        ?Position $position = null,
    ): self {
        $units = ($controllers ?? $this->controllers) + ($modules ?? $this->modules);
        $lit = $units + ($runs ?? $this->runs) + ($segments ?? $this->segments);
        $known = ($scenes ?? $this->scenes) + ($shows ?? $this->shows);
        $plan = new self(
            name: $name ?? $this->name,
            client: $client ?? $this->client,
            limits: $limits ?? $this->limits,
            terms: $terms ?? $this->terms,
            places: self::inOrder($places ?? $this->places),
            runs: self::inOrder($runs ?? $this->runs),
            supplies: self::inOrder($supplies ?? $this->supplies),
            controllers: self::inOrder($controllers ?? $this->controllers),
            hubs: self::inOrder($hubs ?? $this->hubs),
            modules: self::inOrder($modules ?? $this->modules),
            fixtures: self::inOrder($fixtures ?? $this->fixtures),
            splices: self::inOrder($splices ?? $this->splices),
            feeds: self::inOrder($feeds ?? $this->feeds),
            cables: self::inOrder($cables ?? $this->cables),
            lines: $lines ?? $this->lines,
            segments: self::inOrder($segments ?? $this->segments),
            lights: self::inOrder($lights ?? $this->lights),
            scenes: self::inOrder(self::played($scenes ?? $this->scenes, $lit)),
            owned: self::inOrder($owned ?? $this->owned),
            options: self::inOrder($options ?? $this->options),
            makings: self::inOrder(array_intersect_key($makings ?? $this->makings, $runs ?? $this->runs)),
            spares: self::inOrder($spares ?? $this->spares),
            items: self::inOrder($items ?? $this->items),
            splits: self::inOrder(self::parted($splits ?? $this->splits, $runs ?? $this->runs)),
            answers: self::inOrder(
                self::decided($answers ?? $this->answers, $units + ($hubs ?? $this->hubs) + ($items ?? $this->items)),
            ),
            tunings: self::inOrder(array_intersect_key($tunings ?? $this->tunings, $lit)),
            shows: self::inOrder(self::shown($shows ?? $this->shows, $scenes ?? $this->scenes, $lit)),
            triggers: self::inOrder(
                array_filter(
                    $triggers ?? $this->triggers,
                    static fn(Trigger $t): bool => $t->plays === Trigger::NOTHING || isset($known[$t->plays]),
                ),
            ),
            kit: $kit ?? $this->kit,
            position: $position ?? $this->position,
        );

        return $plan->tidied();
    }

    /**
     * The same plan with one entry of a list set, or, with null, gone.
     *
     * @param  string  $list  name of the list
     * @param  KitSnapshot|null  $kit  the entry of the shelf that it needs; a copy that the plan has already stays as it is
     */
    public function put(string $list, string $id, ?object $entry, ?KitSnapshot $kit = null): self
    {
        /** @var array<string, object> $others */
        $others = array_diff_key((array) $this->{$list}, [$id => true]);
        $lists = [
            $list => $entry === null ? $others : [$id => $entry] + $others,
            'kit' => $this->kit + ($kit === null ? [] : [$kit->entry->id() => $kit]),
        ];

        return $this->with(...$lists); // @phpstan-ignore argument.type (lists of the plan, by their names)
    }

    /** Without data lines of boards, and segments of pixels, that are gone, and without kit that nothing uses. */
    private function tidied(): self
    {
        $segments = self::lightable($this);

        return $this->withChanged(
            lines: self::inOrder(self::led($this)),
            segments: self::inOrder($segments),
            scenes: count($segments) === count($this->segments)
                ? $this->scenes
                : self::played($this->scenes, $this->lightUnits() + $this->runs + $segments),
            kit: self::inOrder(array_intersect_key($this->kit, $this->kitInUse() + $this->owned + $this->spares)),
        );
    }

    public function place(string $id): Place
    {
        return $this->places[$id] ?? throw InvalidInput::unknown('/place', 'place', $id);
    }

    public function run(string $id): Run
    {
        return $this->runs[$id] ?? throw InvalidInput::unknown('/run', 'run', $id);
    }

    public function feed(string $id): Feed
    {
        return $this->feeds[$id] ?? throw InvalidInput::unknown('/feed', 'feed', $id);
    }

    /** A run of the plan, with values that follow from both. */
    public function of(Run $run): PlannedRun
    {
        return new PlannedRun($this, $run);
    }

    /** Its cables, with the units, feeds and runs that they connect. */
    public function ways(): Ways
    {
        return Ways::of($this);
    }

    /** Power sources of its devices. */
    public function power(): Power
    {
        return new Power($this);
    }

    /**
     * The first unused id of a series: f1, f2 …
     *
     * @param  array<string, mixed>  $taken
     */
    public static function nextId(string $letter, array $taken): string
    {
        for ($n = 1; isset($taken[$letter . $n]); $n++);

        return $letter . $n;
    }

    /**
     * Without answers about deleted units.
     *
     * @param  array<string, Answer>  $answers
     * @param  array<string, mixed>  $there  by id
     * @return array<string, Answer>
     */
    private static function decided(array $answers, array $there): array
    {
        return array_filter(
            $answers,
            static fn(Answer $a): bool => isset($there[$a->light]) &&
                ($a->control === Answer::PHONE || isset($there[$a->control])),
        );
    }

    /**
     * @template T
     *
     * @param  array<string, T>  $list
     * @return array<string, T>
     */
    private static function inOrder(array $list): array
    {
        uksort($list, strnatcmp(...));

        return $list;
    }
}
