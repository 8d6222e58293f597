<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A change and the revision that it was made on. */
final class ChangeRequest extends PreviewRequest
{
    public function rules(): array
    {
        return ['base' => ['required', 'integer', 'min:1']] + parent::rules();
    }
}
