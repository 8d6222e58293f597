<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Undo or redo; or stepping over a change of one's own that cannot be taken back. */
final class RestoreRequest extends ScreenRequest
{
    public function rules(): array
    {
        return ['over' => ['nullable', 'integer', 'min:1']] + parent::rules();
    }
}
