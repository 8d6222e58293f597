<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A step that is done or not, or how the work is gone about. */
final class BuildRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->routeIs('build.tick')
            ? ['step' => ['required', 'string', 'max:60'], 'done' => ['required', 'boolean'], 'minutes' => ['required_if:done,true', 'integer', 'min:0', 'max:6000']]
            : ['people' => ['required', 'integer', 'min:1', 'max:2'], 'start' => ['required', 'date_format:Y-m-d']];
    }
}
