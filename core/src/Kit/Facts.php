<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** The few facts of a shelf entry that a choice is made by. */
final readonly class Facts
{
    private const MOST = 4;

    private const COLOURS = [
        'single' => 'single colour',
        'tunable' => 'tunable white',
        'rgb' => 'RGB',
        'rgbw' => 'RGBW',
        'rgbcct' => 'RGB and tunable white',
        'pixels' => 'pixels',
    ];

    /** @return list<string> */
    public static function for(Entry $e): array
    {
        return match (true) {
            $e instanceof Strip => [
                sprintf('%g V', $e->volts),
                sprintf('%g W/m', $e->wattsPerMetre()),
                self::COLOURS[$e->colours()] ?? '',
                sprintf('cut %g mm', 1000 * $e->pitch),
            ],
            $e instanceof Supply => [
                sprintf('%g V', $e->volts),
                sprintf('%g A', $e->ratedAmps),
                sprintf('%.0f W', $e->ratedWatts()),
            ],
            $e instanceof Controller => [
                $e->pixels === null ? "{$e->channels} ch" : "{$e->pixels->count} outputs of {$e->pixels->each} pixels",
                $e->pixels === null
                    ? sprintf('%g A per channel, %g A total', $e->channelAmps, $e->totalAmps)
                    : sprintf('%g A through it', $e->totalAmps),
                sprintf('%g-%g V', $e->inputLeast, $e->inputMost),
                $e->profile?->figure('listens') === null
                    ? self::way($e->family)
                    : sprintf('listens %g s', $e->profile->figure('listens')),
            ],
            $e instanceof Cable => [
                $e->conductor->label(),
                "{$e->cores} cores",
                sprintf('%.1f mΩ/m', 1000 * $e->conductor->ohmsPerMetre),
                $e->conductor->capacity === null ? 'capacity not known' : sprintf('%g A', $e->conductor->capacity),
            ],
            $e instanceof Hub => [
                sprintf('searches %g s', $e->profile->seconds('search')),
                sprintf('list lags up to %g s', $e->profile->seconds('lagMost')),
                ...$e->profile->figure('letters') === null
                    ? []
                    : [sprintf('%d letters a name', $e->profile->figure('letters'))],
            ],
            default => [],
        };
    }

    /**
     * Facts of an entry as written, for every kind.
     *
     * @param  array<array-key, mixed>  $written
     * @return list<string>
     */
    public static function written(array $written): array
    {
        $f = new Fields($written);
        $facts = self::for(Shelf::entry($f));
        if ($facts !== []) {
            return [...$facts, ...self::assumed($written)];
        }
        foreach (Kinds::get($f->string('kind'))->fields ?? [] as $key => $field) {
            if (
                count($facts) < self::MOST &&
                !str_contains($key, '.') &&
                !in_array($key, ['price', 'lead', 'note'], true) &&
                $f->has($key)
            ) {
                $facts[] = match ($field->type) {
                    'number', 'whole' => trim(
                        sprintf(
                            '%s %g %s',
                            $field->unit === '' || $field->unit === 'share' ? mb_strtolower($field->label) : '',
                            $f->number($key),
                            $field->unit === 'share' ? '' : $field->unit,
                        ),
                    ),
                    'choices' => implode(', ', array_map(self::way(...), $f->strings($key))),
                    'flag' => $f->flag($key) ? mb_strtolower($field->label) : '',
                    'text', 'choice' => $f->string($key),
                    default => '',
                };
            }
        }

        return [
            ...array_values(array_filter($facts, static fn(string $fact): bool => $fact !== '')),
            ...self::assumed($written),
        ];
    }

    /**
     * The fields of an entry for which the usual value is taken, as one fact.
     *
     * @param  array<array-key, mixed>  $written
     * @return list<string>
     */
    public static function assumed(array $written): array
    {
        $f = new Fields($written);
        $labels = Kinds::get($f->string('kind'))?->assumed($f) ?? [];

        return $labels === [] ? [] : ['assumed: ' . mb_strtolower(implode(', ', $labels))];
    }

    /** The way of control, or the kind of light, in words. */
    public static function way(string $word): string
    {
        return ControlWay::tryFrom($word)?->phrase() ?? (self::COLOURS[$word] ?? $word);
    }
}
