<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Screens\KnownRows;
use Illuminate\Foundation\Http\FormRequest;

/** A step that is done, or not after all, as the device that was pressed tells it. */
final class TickRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'uuid' => ['required', 'uuid'],
            'by' => ['nullable', 'integer', 'min:1'],
            'step' => ['bail', 'required', 'string', 'max:60', 'regex:/^[a-z][a-z0-9-]*(\/[a-z]+)?$/'],
            'done' => ['required', 'boolean'],
            'minutes' => ['required', 'integer', 'min:1', 'max:6000'],
            'known' => ['nullable', 'string', 'max:40000'],
            'at' => ['bail', 'required', 'string', 'date_format:Y-m-d\TH:i:s.v\Z'],
        ];
    }

    /** @return array<string, string> hashes of the steps that the page has, by their ids */
    public function known(): array
    {
        return KnownRows::read($this->string('known')->toString());
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'minutes.*' => 'A step takes 1 to 6000 minutes.',
            'step.*' => 'The job has no such step. Reload the page.',
        ];
    }
}
