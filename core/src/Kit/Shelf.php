<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Json;
use EmberDusk\Formats\Schema;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;
use stdClass;

/** Reads shelf entries of every kind and gives each its content hash. */
final readonly class Shelf
{
    public const FORMAT = 'ember-dusk-shelf';

    /** Bytes of the largest shelf file that is read. */
    public const LARGEST = 8_000_000;

    /** @throws Refusal when the entry is of no known kind or a value does not fit */
    public static function entry(Fields $f): Entry
    {
        $kind =
            Kinds::get($f->string('kind', 40)) ??
            throw $f->invalid(
                'kind',
                '“' . $f->string('kind', 40) . '” is not one of ' . implode(', ', array_keys(Kinds::all())) . '.',
            );
        if (preg_match('/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/', $f->string('id')) !== 1 || strlen($f->string('id')) > 40) {
            throw $f->invalid(
                'id',
                'An id has small letters, digits and single dashes, at most 40, and begins with a letter.',
            );
        }
        if (trim($f->string('name', 120)) === '') {
            throw $f->invalid('name', 'The entry needs a name.');
        }
        $kind->check($f);
        if ($f->has('currency') && $f->string('currency', 3) !== '') {
            Price::currency($f);
        }

        $f = $kind->completed($f);

        return match ($kind->kind) {
            'strip' => Strip::read($f),
            'pixels' => Strip::ofPixels($f),
            'supply' => Supply::read($f),
            'cable' => Cable::read($f),
            'controller', 'repeater', 'board' => Controller::read($f),
            'battery' => BatteryBlock::read($f),
            'connector' => Connector::read($f),
            'fuse' => Fuse::read($f),
            'switch' => InlineSwitch::read($f),
            'fixture' => Fixture::read($f),
            'phasecut', 'analog', 'dali' => Dimmer::read($f),
            'hub' => Hub::read($f),
            'converter' => Converter::read($f),
            'transistor' => Transistor::read($f),
            default => $kind->beside?->control() === true ? Control::read($f) : Thing::read($f),
        };
    }

    /**
     * A shelf file's entries by id, as written, each checked.
     *
     * @return array<string, array<array-key, mixed>>
     *
     * @throws Refusal with a JSON Pointer
     */
    public static function file(string $text): array
    {
        $document = Json::object($text, self::LARGEST);
        $written = $document->entries ?? null;
        $document->entries = is_array($written) ? [] : $written;
        Schema::check($document, 'shelf');
        $entries = [];
        if (!is_array($written)) {
            return [];
        }
        foreach ($written as $n => $entry) {
            try {
                if (!($entry instanceof stdClass)) {
                    throw InvalidInput::at('', 'An entry was expected.');
                }
                $plain = self::plain($entry);
                $checked = self::check($plain);
            } catch (Refusal $t) {
                throw InvalidInput::at("/entries/{$n}{$t->pointer}", $t->getMessage());
            }
            if (isset($entries[$checked->id()])) {
                throw InvalidInput::at("/entries/{$n}/id", "“{$checked->id()}” is on the shelf twice.");
            }
            $entries[$checked->id()] = $plain;
        }

        return $entries;
    }

    /**
     * A shelf file of entries as written.
     *
     * @param  list<array<array-key, mixed>>  $entries
     */
    public static function write(array $entries): string
    {
        return Json::pretty(['format' => self::FORMAT, 'version' => 1, 'entries' => $entries]);
    }

    /**
     * Holds an entry against its kind's schema and bounds.
     *
     * @param  array<array-key, mixed>  $entry
     *
     * @throws Refusal with a JSON Pointer into the entry
     */
    public static function check(array $entry): Entry
    {
        $kind = is_string($entry['kind'] ?? null) ? Kinds::get($entry['kind']) : null;
        if ($kind === null) {
            throw InvalidInput::at('/kind', 'The kind is not one of ' . implode(', ', array_keys(Kinds::all())) . '.');
        }
        Schema::check(Json::object(Json::compact($entry)), "shelf#/\$defs/{$kind->kind}");

        return self::entry(new Fields($entry));
    }

    /**
     * Same content, same hash, for any order of the keys.
     *
     * @param  array<array-key, mixed>  $entry
     */
    public static function hash(array $entry): string
    {
        return substr(hash('sha256', Json::compact(self::sorted($entry))), 0, 16);
    }

    /** @return array<array-key, mixed> */
    public static function plain(stdClass $document): array
    {
        $plain = json_decode(Json::compact($document), true);
        if (is_array($plain)) {
            return $plain;
        }

        return [];
    }

    /**
     * @param  array<array-key, mixed>  $value
     * @return array<array-key, mixed>
     */
    private static function sorted(array $value): array
    {
        if (!array_is_list($value)) {
            ksort($value);
        }

        return array_map(
            static fn(mixed $v): mixed => match (true) {
                is_array($v) => self::sorted($v),
                is_int($v) => (float) $v,
                default => $v,
            },
            $value,
        );
    }
}
