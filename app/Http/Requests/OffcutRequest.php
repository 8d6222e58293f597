<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Job;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class OffcutRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $job = $this->route('job');
        $kit = [
            'required',
            'string',
            Rule::exists('kit_entries', 'entry_id')->where('crew_id', $job instanceof Job ? $job->crew_id : 0),
        ];

        return $this->routeIs('offcuts.leave')
            ? ['kit' => $kit]
            : [
                'kit' => $kit,
                'metres' => ['required', 'numeric', 'min:0.02', 'max:100'],
                'count' => ['required', 'integer', 'min:1', 'max:50'],
            ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kit.exists' => 'The shelf has none of that kind. Put it on the shelf first.',
            'metres.*' => 'An offcut has a length from 0.02 to 100 m, such as 1.35.',
            'count.*' => 'Say how many there are, 1 to 50.',
        ];
    }
}
