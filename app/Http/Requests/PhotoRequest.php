<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Values\InvalidInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class PhotoRequest extends FormRequest
{
    /** Size limit of one camera photo, kilobytes. */
    public const MOST = 20_000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'place' => ['required', 'string', 'max:40'],
            'caption' => ['nullable', 'string', 'max:200'],
            'photo' => ['required', 'file', 'max:' . self::MOST],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $large =
            'The photo is too large: at most ' .
            intdiv(self::MOST, 1000) .
            ' MB are accepted. Use a smaller picture size, or crop it.';

        return [
            'photo.required' => 'Choose a photo.',
            'photo.file' => 'The photo did not arrive completely. Try again.',
            'photo.uploaded' => $large,
            'photo.max' => $large,
            'caption.max' => 'A caption has at most 200 letters.',
        ];
    }

    public function bytes(): string
    {
        $file = $this->file('photo');
        if (!($file instanceof UploadedFile)) {
            throw new InvalidInput('Choose a photo.', '/photo');
        }

        return (string) $file->get();
    }
}
