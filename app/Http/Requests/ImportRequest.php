<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Formats\Json;
use EmberDusk\Values\InvalidInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class ImportRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:' . intdiv(Json::LARGEST, 1000)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $size = intdiv(Json::LARGEST, 1_000_000);

        return [
            'file.required' => 'Choose a job file.',
            'file.file' => 'The file did not arrive whole. Try again.',
            'file.uploaded' => "The file is too large: at most {$size} MB are read.",
            'file.max' => "The file is too large: at most {$size} MB are read.",
        ];
    }

    public function text(): string
    {
        $file = $this->file('file');
        if (!($file instanceof UploadedFile)) {
            throw new InvalidInput('Choose a job file.');
        }

        return (string) $file->get();
    }
}
