<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\Shelf;
use EmberDusk\Values\Trouble;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;

/** What is asked of the shelf: a search, an entry in words by field (read by the core), or a file. */
final class ShelfRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return match (true) {
            $this->routeIs('shelf.store') => [
                'cells' => ['required', 'array', 'max:60'],
                'cells.*' => ['nullable', 'string', 'max:2000'],
            ],
            $this->routeIs('shelf.import') => ['file' => ['required', 'file', 'max:' . intdiv(Shelf::LARGEST, 1000)]],
            default => [
                'find' => ['nullable', 'string', 'max:100'],
                'kind' => ['nullable', 'string', Rule::in(['', ...array_keys(Kinds::all())])],
                'page' => ['nullable', 'integer', 'min:1', 'max:1000'],
            ],
        };
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $large =
            'The file is too large: at most ' .
            intdiv(Shelf::LARGEST, 1_000_000) .
            ' MB are read. Nothing was taken in.';

        return [
            'file.required' => 'Choose a shelf file, JSON or CSV.',
            'file.file' => 'The file did not arrive whole. Try again.',
            'file.uploaded' => $large,
            'file.max' => $large,
        ];
    }

    public function find(): string
    {
        return $this->string('find')->toString();
    }

    public function kind(): string
    {
        return $this->string('kind')->toString();
    }

    public function page(): int
    {
        return max(1, $this->integer('page', 1));
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

    public function text(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? (string) $file->get() : throw new Trouble('Choose a shelf file.');
    }
}
