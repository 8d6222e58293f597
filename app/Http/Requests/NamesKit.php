<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Job;
use Illuminate\Validation\Rule;

/** A kind of kit that the shelf of the job's crew has. */
trait NamesKit
{
    /** @return list<mixed> */
    private function kit(): array
    {
        $job = $this->route('job');

        return [
            'required',
            'string',
            Rule::exists('kit_entries', 'entry_id')->where('crew_id', $job instanceof Job ? $job->crew_id : 0),
        ];
    }

    private static function unknownKit(): string
    {
        return 'The shelf has none of that kind. Put it on the shelf first.';
    }
}
