<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

use Attribute;

/** What a constructor's parameter allows, beyond its PHP type: the one description of a field of a record. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Field
{
    /** Items of a list that are no records. */
    public const TEXTS = 'texts';

    public const NUMBERS = 'numbers';

    public const WHOLES = 'wholes';

    /**
     * @param  float  $least  of a number, or of each number of a list
     * @param  float  $most  likewise
     * @param  int  $longest  letters of a text
     * @param  array<array-key, string>  $oneOf  allowed texts, or the words for each by its key
     * @param  bool  $orEmpty  whether an empty text is allowed beside them
     * @param  string  $of  items of a list: TEXTS, NUMBERS, WHOLES or the class of a record; also the class of a record that is kept as decoded JSON
     * @param  bool  $keyed  whether records are kept by id and written as a list
     * @param  bool  $optional  whether the parameter's default stands for an absent field
     * @param  array{string, string}|null  $pairs  names of key and value where a map is written as a list of objects
     * @param  int  $depth  levels of lists in lists; 1: a plain list
     * @param  bool  $map  whether records are written as an object, by their keys
     * @param  bool  $inline  whether the fields of a record are written among those of the one that holds it, behind them
     */
    public function __construct(
        public float $least = -1e12,
        public float $most = 1e12,
        public int $longest = 20_000,
        public array $oneOf = [],
        public bool $orEmpty = false,
        public string $of = '',
        public bool $keyed = false,
        public bool $optional = false,
        public ?array $pairs = null,
        public int $depth = 1,
        public bool $map = false,
        public bool $inline = false,
    ) {}
}
