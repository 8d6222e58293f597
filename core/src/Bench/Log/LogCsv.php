<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Log;

use EmberDusk\Formats\Csv;
use EmberDusk\Values\InvalidInput;

/**
 * A log as CSV (RFC 4180), one entry per row. Import accepts readings, observations, fixes and remarks; ticks, photos and joins of an exported file
 * are reported and skipped.
 */
final readonly class LogCsv
{
    public const COLUMNS = ['at', 'who', 'kind', 'place', 'command', 'value', 'text', 'by', 'sure', 'words', 'uuid'];

    private const ELSEWHERE = ['tick', 'photo', 'join'];

    /**
     * @param  list<array<string, string>>  $rows  by column
     */
    public static function write(array $rows): string
    {
        return Csv::write([
            self::COLUMNS,
            ...array_map(
                static fn(array $row): array => array_map(
                    static fn(string $c): string => $row[$c] ?? '',
                    self::COLUMNS,
                ),
                $rows,
            ),
        ]);
    }

    /**
     * @return array{entries: list<LogEntry>, elsewhere: int}
     *
     * @throws InvalidInput with the row and the expected value
     */
    public static function read(string $text, string $now): array
    {
        [$head, $rows] = Csv::read($text);
        foreach (['at', 'kind', 'place'] as $needed) {
            if (!in_array($needed, $head, true)) {
                throw new InvalidInput("The first row names the columns; “{$needed}” is missing.", '/file');
            }
        }
        $entries = [];
        $elsewhere = 0;
        foreach ($rows as $line => $cells) {
            $row = [];
            foreach ($head as $c => $name) {
                $row[$name] = $cells[$c] ?? '';
            }
            if (in_array($row['kind'], self::ELSEWHERE, true)) {
                $elsewhere++;

                continue;
            }
            try {
                $entries[] = self::entry($row, $now)->check();
            } catch (InvalidInput $refusal) {
                throw new InvalidInput("Line {$line}: {$refusal->getMessage()} Nothing was imported.", '/file');
            }
        }

        return ['entries' => $entries, 'elsewhere' => $elsewhere];
    }

    /** @param  array<string, string>  $row */
    private static function entry(array $row, string $now): LogEntry
    {
        $at = date_create_immutable($row['at']);
        if ($at === false) {
            throw new InvalidInput("“{$row['at']}” is not a time; write it as 2026-11-28T09:30:00Z.");
        }
        $value = str_replace(',', '.', $row['value'] ?? '');
        if ($value !== '' && !is_numeric($value)) {
            throw new InvalidInput("“{$value}” is not a number.");
        }
        if (preg_match('/^[a-z0-9@.:-]{0,80}$/', $row['place']) !== 1) {
            throw new InvalidInput("“{$row['place']}” is not a place; write it as in the log.");
        }

        $by = preg_match('/^[a-z]{0,20}$/', $row['by'] ?? '') === 1 ? $row['by'] ?? '' : '';

        return new LogEntry(
            uuid: self::uuid($row),
            kind: $row['kind'],
            place: $row['place'],
            command: mb_substr($row['command'] ?? '', 0, 80),
            value: $value === '' ? null : (float) $value,
            text: mb_substr($row['text'] ?? '', 0, 500),
            by: $by,
            sure: in_array($row['sure'] ?? '', ['1', 'yes', 'true'], true),
            at: min($at->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s.v\Z'), $now),
            who: mb_substr($row['who'] ?? '', 0, 120),
        );
    }

    /**
     * Its own, or one that the same row always has: a file that is read in twice doubles nothing.
     *
     * @param  array<string, string>  $row
     */
    private static function uuid(array $row): string
    {
        $uuid = $row['uuid'] ?? '';
        if (preg_match('/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/', $uuid) === 1) {
            return $uuid;
        }
        $hash = hash(
            'sha256',
            implode("\n", [
                $row['at'],
                $row['kind'],
                $row['place'],
                $row['command'] ?? '',
                $row['value'] ?? '',
                $row['text'] ?? '',
            ]),
        );

        return sprintf(
            '%s-%s-8%s-8%s-%s',
            substr($hash, 0, 8),
            substr($hash, 8, 4),
            substr($hash, 12, 3),
            substr($hash, 15, 3),
            substr($hash, 18, 12),
        );
    }
}
