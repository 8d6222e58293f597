<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Values\InvalidInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** An uploaded text file; it is read completely or not at all. */
abstract class TextFileRequest extends FormRequest
{
    /** Bytes that are read at most. */
    abstract protected function largest(): int;

    /** Kind of file: “a log as CSV”. */
    abstract protected function wants(): string;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:' . intdiv($this->largest(), 1000)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $large =
            'The file is too large: at most ' .
            intdiv($this->largest(), 1_000_000) .
            ' MB are accepted. Nothing was imported.';

        return [
            'file.required' => "Choose {$this->wants()}.",
            'file.file' => 'The file did not arrive completely. Try again.',
            'file.uploaded' => $large,
            'file.max' => $large,
        ];
    }

    public function text(): string
    {
        $file = $this->file('file');
        if (!($file instanceof UploadedFile)) {
            throw new InvalidInput("Choose {$this->wants()}.");
        }

        return (string) $file->get();
    }
}
