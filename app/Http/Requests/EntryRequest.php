<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** An entry of the shelf in words by field; the core reads them. */
final class EntryRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['cells' => ['required', 'array', 'max:60'], 'cells.*' => ['nullable', 'string', 'max:2000']];
    }

    /** @return array<string, string> */
    public function cells(): array
    {
        $cells = [];
        foreach ($this->array('cells') as $key => $cell) {
            $cells[(string) $key] = is_string($cell) ? $cell : '';
        }

        return $cells;
    }
}
