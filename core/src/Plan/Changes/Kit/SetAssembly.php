<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Assembly;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;

/** Sets the assembly of a run; missing fields stay unchanged, empty ones return to the default. */
final readonly class SetAssembly extends Change
{
    /** @param  array<string, KitSnapshot>  $kit  profile and diffuser, by field */
    private function __construct(private string $run, private Fields $given, private array $kit) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $kit = [];
        foreach (['profile', 'diffuser'] as $field) {
            $id = $f->has($field) ? $f->string($field) : '';
            if ($id !== '') {
                $found = $shelf->find($id);
                $kit[$field] =
                    $found !== null && ($found->written['kind'] ?? '') === $field
                        ? $found
                        : throw $f->invalid($field, "The shelf has no {$field} “{$id}”.");
            }
        }

        return new self($f->string('run'), $f, $kit);
    }

    /** Null values stay unchanged. */
    public static function payload(
        string $run,
        ?string $strip = null,
        ?string $length = null,
        ?string $seal = null,
        ?string $profile = null,
    ): ChangePayload {
        return ChangePayload::given(
            'SetMaking',
            run: $run,
            strip: $strip,
            length: $length,
            seal: $seal,
            profile: $profile,
        );
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $written = ($plan->makings[$run->id] ?? new Assembly($run->id))->write();
        foreach (['strip', 'length', 'seal', 'cut'] as $field) {
            $written[$field] = $this->given->has($field) ? $this->given->string($field) : $written[$field];
        }
        foreach (['profile', 'diffuser'] as $field) {
            $written[$field] = $this->given->has($field)
                ? ($this->kit[$field] ?? null)?->entry->id()
                : $written[$field];
        }
        $making = Assembly::read(new Fields($written));
        $kit = [];
        foreach ($this->kit as $snapshot) {
            $kit[$snapshot->entry->id()] = $plan->kit[$snapshot->entry->id()] ?? $snapshot;
        }
        $others = array_diff_key($plan->makings, [$run->id => true]);

        return $plan->with(
            makings: $making->usual() ? $others : $others + [$run->id => $making],
            kit: $kit + $plan->kit,
        );
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() . ' has another assembly';
    }
}
