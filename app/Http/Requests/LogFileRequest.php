<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Values\InvalidInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A log as a CSV file. */
final class LogFileRequest extends FormRequest
{
    private const LARGEST = 4_000_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:' . intdiv(self::LARGEST, 1000)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $large =
            'The file is too large: at most ' .
            intdiv(self::LARGEST, 1_000_000) .
            ' MB are read. Nothing was taken in.';

        return [
            'file.required' => 'Choose a log as CSV.',
            'file.file' => 'The file did not arrive whole. Try again.',
            'file.uploaded' => $large,
            'file.max' => $large,
        ];
    }

    public function text(): string
    {
        $file = $this->file('file');
        if (!($file instanceof UploadedFile)) {
            throw new InvalidInput('Choose a log as CSV.');
        }

        return (string) $file->get();
    }
}
