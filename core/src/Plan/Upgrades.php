<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** Brings a document of an older version to the newest one, version by version. Every released version is read for ever. */
final readonly class Upgrades
{
    /**
     * @param  array<array-key, mixed>  $document  held against its own version's schema
     * @return array<array-key, mixed>
     */
    public static function newest(array $document): array
    {
        return ($document['version'] ?? null) === 1 ? self::terms($document) : $document;
    }

    /**
     * 1 to 2: terms of the job, what the client owns, options, and how each run is mounted.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function terms(array $document): array
    {
        $runs = is_array($document['runs'] ?? null) ? $document['runs'] : [];

        return ['version' => 2, 'terms' => (new Terms)->write(), 'owned' => [], 'options' => [], 'splices' => [],
            'runs' => array_map(static fn (mixed $run): mixed => is_array($run) ? $run + ['mounting' => [], 'light' => '', 'height' => null, 'part' => 1, 'parts' => 1, 'cap' => 1.0, 'capChecked' => false, 'zones' => []] : $run, $runs)] + $document;
    }
}
