<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** A kind of kit beside the chains of the runs: its owner, its part in joining, and its work. */
final readonly class Beside implements JsonReadable
{
    use Record;

    /**
     * @param  int  $row  position in lists
     * @param  string  $parts  group in the parts list
     * @param  string  $on  list of the plan to which it belongs; empty: it belongs to no other part
     * @param  string  $role  of a control, as in Joining\Unit; empty for other kit
     * @param  string  $letter  before its number among joined devices; empty: it is none
     * @param  string  $called  a control's short name
     * @param  int  $compared  position among the controls of an option; 0: not compared
     * @param  string  $power  cell, mains, or the choice of each entry
     * @param  string  $join  ready before anything joins, or mounted after; empty: neither
     * @param  bool  $network  whether it needs the client's network
     * @param  bool  $account  whether it needs an account of the client
     * @param  bool  $clients  whether the client has it already: not bought
     */
    public function __construct(
        public int $row,
        public string $parts,
        #[Field(oneOf: ['runs', 'supplies', 'cables'], orEmpty: true, optional: true)] public string $on = '',
        #[Field(optional: true)] public string $role = '',
        #[Field(optional: true)] public string $letter = '',
        #[Field(optional: true)] public string $called = '',
        #[Field(optional: true)] public int $compared = 0,
        #[Field(oneOf: ['mains', 'cell', 'choice'], optional: true)] public string $power = 'mains',
        #[Field(oneOf: ['ready', 'after'], orEmpty: true, optional: true)] public string $join = '',
        #[Field(optional: true)] public bool $network = false,
        #[Field(optional: true)] public bool $account = false,
        #[Field(optional: true)] public bool $clients = false,
        public ?BesideWork $work = null,
    ) {}

    public function control(): bool
    {
        return $this->role !== '';
    }

    /** Whether an entry runs from a cell. */
    public function onCell(bool $mains): bool
    {
        return $this->power === 'cell' || ($this->power === 'choice' && !$mains);
    }
}
