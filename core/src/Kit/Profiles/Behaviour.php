<?php

declare(strict_types=1);

namespace EmberDusk\Kit\Profiles;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Kinds;
use EmberDusk\Values\Copies;
use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;

/**
 * Reset, listening, linking and signals of a device, from its instructions: data, never code. Missing figures are absent; a family names those that
 * it requires.
 */
final readonly class Behaviour
{
    use Copies;

    /** Gestures by the name of what they do. */
    public const GESTURES = ['reset' => 'its reset', 'join' => 'its join', 'link' => 'its link'];

    /** Lamp patterns by the name of what they say. */
    public const SIGNALS = [
        'waits' => 'is waiting to be joined',
        'held' => 'belongs to a network already',
        'alone' => 'has power and no network',
        'looks' => 'searches for a network',
        'resetDone' => 'is reset',
        'joined' => 'has joined',
        'linked' => 'is linked',
    ];

    /** The shorter one first: the second must not be below it. */
    private const IN_ORDER = [['takesLeast', 'takesMost'], ['lagLeast', 'lagMost'], ['linkFrom', 'linkUntil']];

    /**
     * @param  array<string, Gesture>  $gestures
     * @param  array<string, Signal>  $signals
     * @param  array<string, float>  $figures
     * @param  list<string>  $lacks  what its app cannot do: colour, white, fade, scene, show, schedule, presence
     * @param  string  $network signal once the phone is on its own network; empty if not stated
     * @param  string  $bind key to press in its app while a receiver learns; empty if not stated
     * @param  string  $store  how it stores a preset; empty if not stated
     * @param  string  $recall  how it recalls a preset; empty if not stated
     */
    public function __construct(
        public array $gestures = [],
        public array $signals = [],
        public array $figures = [],
        public string $numbering = '#',
        public array $lacks = [],
        public string $network = '',
        public string $bind = '',
        public string $store = '',
        public string $recall = '',
    ) {}

    /** @throws Refusal where two gestures are one to the device, a window ends before it begins, or a value is out of bounds */
    public static function read(Fields $f): self
    {
        $gestures = [];
        if ($f->has('key')) {
            $gestures['reset'] = Gesture::presses(
                $f->string('key', 20),
                $f->whole('presses', 2, 20),
                $f->number('pressesWithin', 0.5, 30),
            );
        }
        foreach (self::GESTURES as $name => $what) {
            if ($f->has($name) && trim($f->string($name, 200)) !== '') {
                try {
                    $gestures[$name] = Gesture::read($f->string($name, 200));
                } catch (Refusal $t) {
                    throw $f->invalid($name, $t->getMessage());
                }
            }
        }
        $signals = [];
        foreach (array_keys(self::SIGNALS) as $name) {
            if ($f->has($name)) {
                $signals[$name] = Signal::read($f, $name);
            }
        }
        $figures = [];
        foreach (Kinds::profileBounds() as $name => [$least, $most]) {
            if ($f->has($name)) {
                $figures[$name] = $f->number($name, $least, $most);
            }
        }
        $behaviour = new self(
            gestures: $gestures,
            signals: $signals,
            figures: $figures,
            numbering: $f->stringOrNull('numbering', 30) ?? '#',
            lacks: $f->stringsOr('lacks', []),
            network: $f->stringOrNull('network', 80) ?? '',
            bind: $f->stringOrNull('bind', 80) ?? '',
            store: $f->stringOrNull('store', 80) ?? '',
            recall: $f->stringOrNull('recall', 80) ?? '',
        );
        $behaviour->check($f);

        return $behaviour;
    }

    private function check(Fields $f): void
    {
        foreach (self::IN_ORDER as [$first, $second]) {
            if (
                isset($this->figures[$first], $this->figures[$second]) &&
                $this->figures[$second] < $this->figures[$first]
            ) {
                throw $f->invalid($second, 'The longest time is shorter than the shortest.');
            }
        }
        $names = array_keys($this->gestures);
        foreach ($names as $n => $one) {
            foreach (array_slice($names, $n + 1) as $other) {
                if ($this->gestures[$one]->likeness($this->gestures[$other])) {
                    throw $f->invalid(
                        $other,
                        'The device cannot tell ' .
                            self::GESTURES[$one] .
                            ' from ' .
                            self::GESTURES[$other] .
                            ': both are “' .
                            $this->gestures[$one]->write() .
                            '”. Check the instructions again.',
                    );
                }
            }
        }
    }

    /** The same with the gestures of its presets, in words. */
    public function storing(string $store, string $recall): self
    {
        return $this->withChanged(store: $store, recall: $recall);
    }

    /**
     * The same with some figures changed.
     *
     * @param  array<string, float>  $figures
     */
    public function withFigures(array $figures): self
    {
        return $this->withChanged(figures: [...$this->figures, ...$figures]);
    }

    /** Card for a later reset: the gesture, its signal and the following time window; null without a reset gesture. */
    public function resetCard(): ?string
    {
        $reset = $this->gesture('reset');
        if ($reset === null) {
            return null;
        }
        $done = $this->signal('resetDone');
        $joined = $this->signal('joined') ?? $this->signal('linked');
        $listens = $this->figure('listens');

        return ucfirst($reset->words()) .
            '.' .
            ($done === null ? '' : " Reset, it flashes {$done->words()}.") .
            ($listens === null ? '' : sprintf(' It then listens for %g s: start the search first.', $listens)) .
            ($joined === null ? '' : " Joined, it flashes {$joined->words()}.");
    }

    public function gesture(string $name): ?Gesture
    {
        return $this->gestures[$name] ?? null;
    }

    public function signal(string $name): ?Signal
    {
        return $this->signals[$name] ?? null;
    }

    public function figure(string $name): ?float
    {
        return $this->figures[$name] ?? null;
    }

    /**
     * A figure that a family has seen to be there.
     *
     * @throws NoSolution where it is not
     */
    public function seconds(string $name): float
    {
        return $this->figures[$name] ??
            throw new NoSolution("The instructions do not say “{$name}”. Enter it with the device on the shelf.");
    }
}
