<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Kit\Shelf;
use EmberDusk\Values\InvalidInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A shelf as a file, JSON or CSV. */
final class ShelfFileRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:' . intdiv(Shelf::LARGEST, 1000)]];
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

    public function text(): string
    {
        $file = $this->file('file');
        if (!($file instanceof UploadedFile)) {
            throw new InvalidInput('Choose a shelf file.');
        }

        return (string) $file->get();
    }
}
