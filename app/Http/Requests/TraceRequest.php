<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class TraceRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return $this->routeIs('traces.begin')
            ? ['place' => ['required', 'string', 'max:40'], 'near' => ['required', 'string', 'max:40']]
            : [
                'asked' => ['required_without:back', 'integer', 'min:0'],
                'tone' => ['required_without:back', 'boolean'],
                'back' => ['boolean'],
            ];
    }
}
