<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\Timetable;
use Illuminate\Foundation\Http\FormRequest;

/** Move of a step to another day, hour or person, or back to automatic. */
final class MoveRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'step' => ['bail', 'required', 'string', 'max:60', 'regex:/^[a-z][a-z0-9-]*$/'],
            'keep' => ['required', 'boolean'],
            'back' => ['boolean'],
            'day' => ['bail', 'required_unless:back,true', 'string', 'date_format:Y-m-d', 'before:+3 years'],
            'from' => ['required_unless:back,true', 'integer', 'min:0', 'max:' . (Timetable::DAY - 5)],
            'person' => ['required_unless:back,true', 'integer', 'min:0', 'max:1'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'step.*' => 'The job has no such step. Reload the page.',
            'day.*' => 'Move it to a day, such as 2026-12-01.',
        ];
    }

    public function pin(): Pin
    {
        return new Pin(
            $this->string('step')->toString(),
            $this->string('day')->toString(),
            $this->integer('from'),
            $this->integer('person'),
        );
    }
}
