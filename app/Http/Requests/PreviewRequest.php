<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A change that is only looked at; the core reads it. */
class PreviewRequest extends ScreenRequest
{
    public function rules(): array
    {
        return ['change' => ['required', 'array', 'max:20']] + parent::rules();
    }

    /** @return array<array-key, mixed> */
    public function change(): array
    {
        return $this->array('change');
    }
}
