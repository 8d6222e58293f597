<?php

declare(strict_types=1);

namespace App\Screens;

use EmberDusk\Formats\Json;
use EmberDusk\Formats\Record\ComputedField;

/** Row with a hash of its content, so that a page that has it need not receive it again ({@see KnownRows}). */
trait HashedRow
{
    public function key(): string
    {
        return $this->id;
    }

    #[ComputedField]
    public function hash(): string
    {
        return hash('xxh64', Json::compact(get_object_vars($this)));
    }
}
