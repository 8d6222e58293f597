<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Joining\Runs;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class JoinRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        if ($this->routeIs('join.act')) {
            return [
                'kind' => ['required', 'string', 'max:20'],
                'device' => ['required', 'string', 'max:40'],
                'presses' => ['integer', 'min:1', 'max:20'],
                'name' => ['nullable', 'string', 'max:200'],
                'room' => ['nullable', 'string', 'max:200'],
            ];
        }

        return ['speed' => ['required', 'integer', Rule::in(Runs::SPEEDS)]];
    }
}
