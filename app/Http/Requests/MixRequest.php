<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Circuit\White;
use Illuminate\Foundation\Http\FormRequest;

/** Request for a light in a scene: brightness, and a colour or a white. */
final class MixRequest extends FormRequest
{
    /** @return list<float> duties that it has, whose mix is to stay */
    public function duties(): array
    {
        $duties = $this->input('duties');

        if (is_array($duties)) {
            return array_map(static fn(mixed $d): float => is_numeric($d) ? (float) $d : 0.0, array_values($duties));
        }

        return [];
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'of' => ['required', 'string', 'max:40'],
            'level' => ['required', 'numeric', 'between:0,1'],
            'kelvin' => ['nullable', 'numeric', 'between:' . White::LEAST . ',' . White::MOST],
            'colour' => ['nullable', 'string', 'regex:/^#[0-9a-f]{6}$/'],
            'duties' => ['nullable', 'array', 'max:8'],
            'duties.*' => ['numeric', 'between:0,1'],
        ];
    }
}
