<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Job;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** Several changes as one action and one line of the history. */
final readonly class ChangeGroup extends Change
{
    /** Changes that go together. */
    public const MOST = 500;

    /** @param  list<Change>  $changes */
    private function __construct(private string $words, private array $changes) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $changes = [];
        foreach ($f->objects('changes') as $change) {
            if ($change->string('kind') === 'Together' || count($changes) >= self::MOST) {
                throw $change->invalid(
                    'kind',
                    'At most ' . self::MOST . ' changes go together, none of them made of others.',
                );
            }
            try {
                $changes[] = Catalogue::read($change->all(), $shelf);
            } catch (Refusal $t) {
                throw InvalidInput::at($change->pointer . $t->pointer, $t->getMessage());
            }
        }

        return new self($f->string('words', 200), $changes);
    }

    /** @param  list<ChangePayload>  $changes */
    public static function payload(string $words, array $changes): ChangePayload
    {
        return ChangePayload::named(
            'Together',
            words: $words,
            changes: array_map(static fn(ChangePayload $c): array => $c->write(), $changes),
        );
    }

    protected function changed(Plan $plan): Plan
    {
        foreach ($this->changes as $change) {
            $plan = $change->apply($plan);
        }

        return $plan;
    }

    public function words(Plan $plan): string
    {
        return $this->words;
    }
}
