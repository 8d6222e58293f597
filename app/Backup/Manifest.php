<?php

declare(strict_types=1);

namespace App\Backup;

use EmberDusk\Formats\Json;
use EmberDusk\Plan\Document;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** Manifest of a backup: versions of its writer, row count of each table, and the database's hash. */
final readonly class Manifest
{
    /** Version of the backup's own make-up: a zip with manifest.json and ember.sqlite. */
    public const FORMAT = 1;

    /**
     * @param  string  $taken  ISO 8601
     * @param  list<string>  $migrations  that the database has been through
     * @param  array<string, int>  $rows  by table
     * @param  string  $sha256  of the database file
     */
    public function __construct(
        public string $taken,
        public array $migrations,
        public array $rows,
        public string $sha256,
    ) {}

    public function write(): string
    {
        return Json::pretty([
            'emberDuskBackup' => self::FORMAT,
            'taken' => $this->taken,
            'jobFile' => Document::VERSION,
            'migrations' => $this->migrations,
            'rows' => $this->rows,
            'sha256' => $this->sha256,
        ]);
    }

    /**
     * @param  list<string>  $known  migrations of this program
     *
     * @throws Refusal when it is no manifest, or a newer program's
     */
    public static function read(string $text, array $known): self
    {
        $all = (array) json_decode($text, true);
        $migrations = array_values(array_filter((array) ($all['migrations'] ?? []), is_string(...)));
        $rows = array_filter(
            (array) ($all['rows'] ?? []),
            static fn(mixed $n, mixed $table): bool => is_int($n) && is_string($table),
            ARRAY_FILTER_USE_BOTH,
        );
        if (
            !is_int($all['emberDuskBackup'] ?? null) ||
            !is_int($all['jobFile'] ?? null) ||
            !is_string($all['taken'] ?? null) ||
            !is_string($all['sha256'] ?? null) ||
            $migrations === []
        ) {
            throw new InvalidInput(
                'The file is damaged or is not an Ember Dusk backup: its manifest cannot be read. Nothing was restored.',
            );
        }
        $ahead = array_diff($migrations, $known);
        if ($all['emberDuskBackup'] > self::FORMAT || $all['jobFile'] > Document::VERSION || $ahead !== []) {
            throw new InvalidInput(
                "The backup was made on {$all['taken']} by a newer program than this one. Update Ember Dusk, then restore again. Nothing was restored.",
            );
        }

        /** @var array<string, int> $rows */
        return new self($all['taken'], $migrations, $rows, $all['sha256']);
    }
}
