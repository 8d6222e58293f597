<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Plan\Run;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ProposalRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'runs' => ['required', 'array', 'min:1', 'max:200'],
            'runs.*' => ['required', 'string', 'max:40', 'distinct'],
            'keep' => ['present', 'array', 'max:3'],
            'wish' => ['nullable', 'string', 'max:120'],
            'keep.*' => ['string', 'distinct', Rule::in(Run::PINS)],
        ];
    }
}
