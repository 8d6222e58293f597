<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Plan\Changes\Splits\SplitParts;
use Illuminate\Foundation\Http\FormRequest;

/** Into how many parts a run is looked at. */
final class SplitsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['parts' => ['nullable', 'integer', 'min:2', 'max:' . SplitParts::MOST]];
    }

    public function parts(): int
    {
        return max(2, $this->integer('parts', 2));
    }
}
