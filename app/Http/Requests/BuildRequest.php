<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Timetable;
use EmberDusk\Schedule\Visit;
use Illuminate\Foundation\Http\FormRequest;

/** A step that is done or not, or how the work is gone about. */
final class BuildRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $step = ['bail', 'required', 'string', 'max:60', 'regex:/^[a-z][a-z0-9-]*$/'];

        return match (true) {
            $this->routeIs('build.tick') => [
                'uuid' => ['required', 'uuid'],
                'by' => ['nullable', 'integer', 'min:1'],
                'step' => $step,
                'done' => ['required', 'boolean'],
                'minutes' => ['required', 'integer', 'min:1', 'max:6000'],
                'at' => ['bail', 'required', 'string', 'date_format:Y-m-d\TH:i:s.v\Z'],
            ],
            $this->routeIs('build.visits') => [
                'visits' => ['required', 'array', 'min:1', 'max:' . Arrangement::MOST_VISITS],
                'visits.*' => ['array'],
                'visits.*.from' => [
                    'bail',
                    'required',
                    'string',
                    'date_format:Y-m-d',
                    'after:-2 years',
                    'before:+3 years',
                ],
                'visits.*.days' => ['required', 'integer', 'min:0', 'max:' . Visit::MOST_DAYS],
                'visits.*.people' => ['required', 'integer', 'min:1', 'max:2'],
                'weekends' => ['required', 'boolean'],
            ],
            $this->routeIs('build.wait') => [
                'step' => $step,
                'after' => [...$step, 'different:step'],
                'on' => ['required', 'boolean'],
            ],
            default => [
                'step' => $step,
                'keep' => ['required', 'boolean'],
                'back' => ['boolean'],
                'day' => ['bail', 'required_unless:back,true', 'string', 'date_format:Y-m-d', 'before:+3 years'],
                'from' => ['required_unless:back,true', 'integer', 'min:0', 'max:' . (Timetable::DAY - 5)],
                'person' => ['required_unless:back,true', 'integer', 'min:0', 'max:1'],
            ],
        };
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'minutes.*' => 'A step takes 1 to 6000 minutes.',
            'visits.*.from.before' => 'A visit is planned at most three years ahead.',
            'visits.*.from.after' => 'A visit began at most two years ago.',
            'visits.*.from.*' => 'A visit begins on a day, such as 2026-12-01.',
            'visits.*.days.*' => sprintf(
                'A visit has 1 to %d days, or none for as many as it takes.',
                Visit::MOST_DAYS,
            ),
            'step.*' => 'The job has no such step. Reload the page.',
            'after.different' => 'A step cannot wait for itself.',
            'day.*' => 'Move it to a day, such as 2026-12-01.',
            'visits.required' => 'A job has at least one visit.',
            'visits.max' => sprintf('A job has at most %d visits.', Arrangement::MOST_VISITS),
        ];
    }
}
