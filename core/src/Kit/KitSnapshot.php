<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Record\Codec;

/** A frozen copy of a shelf entry: as written on the shelf that day, as read, and its content hash. */
final readonly class KitSnapshot implements Codec
{
    /** @param  array<array-key, mixed>  $written */
    public function __construct(public string $hash, public array $written, public Entry $entry) {}

    /** @throws \EmberDusk\Values\Refusal when id or hash are not those of the entry */
    public static function read(Fields $f): self
    {
        $entry = $f->object('entry');
        $read = Shelf::entry($entry);
        if ($read->id() !== $f->string('id')) {
            throw $f->invalid('id', "The copy's own id is “{$read->id()}”.");
        }
        $hash = Shelf::hash($entry->all());
        if ($hash !== $f->string('hash')) {
            throw $f->invalid('hash', "The frozen copy was altered: its content has the hash {$hash}.");
        }

        return new self($hash, $entry->all(), $read);
    }

    /** @return array{id: string, hash: string, entry: array<array-key, mixed>} */
    public function write(): array
    {
        return ['id' => $this->entry->id(), 'hash' => $this->hash, 'entry' => $this->written];
    }

    public static function schema(): array
    {
        $text = ['type' => 'string'];

        return [
            'type' => 'object',
            'description' => 'A frozen copy of a shelf entry with the hash of its content.',
            'properties' => ['id' => $text, 'hash' => $text, 'entry' => ['$ref' => 'shelf.json#/$defs/entry']],
            'required' => ['id', 'hash', 'entry'],
            'additionalProperties' => false,
        ];
    }

    /** For those who may not see prices. The hash stays that of the whole entry, so that a newer one is still told. */
    public function unpriced(): self
    {
        return new self(
            $this->hash,
            array_diff_key($this->written, ['price' => true, 'currency' => true]),
            $this->entry,
        );
    }

    /** Its kind, as the shelf names it. */
    public function kind(): string
    {
        if (is_string($this->written['kind'] ?? null)) {
            return $this->written['kind'];
        }

        return '';
    }

    /** What its kind says of kit beside the runs; null for kit in their chains. */
    public function beside(): ?Beside
    {
        return Kinds::get($this->kind())?->beside;
    }
}
