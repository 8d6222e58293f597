<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Formats\Fields;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Visit;
use Illuminate\Foundation\Http\FormRequest;

/** The days on which the work is gone about. */
final class VisitsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'visits' => ['required', 'array', 'min:1', 'max:' . Arrangement::MOST_VISITS],
            'visits.*' => ['array'],
            'visits.*.from' => ['bail', 'required', 'string', 'date_format:Y-m-d', 'after:-2 years', 'before:+3 years'],
            'visits.*.days' => ['required', 'integer', 'min:0', 'max:' . Visit::MOST_DAYS],
            'visits.*.people' => ['required', 'integer', 'min:1', 'max:2'],
            'weekends' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'visits.*.from.before' => 'A visit is planned at most three years ahead.',
            'visits.*.from.after' => 'A visit began at most two years ago.',
            'visits.*.from.*' => 'A visit starts on a date, such as 2026-12-01.',
            'visits.*.days.*' => sprintf(
                'A visit has 1 to %d days; leave it empty for as many as needed.',
                Visit::MOST_DAYS,
            ),
            'visits.required' => 'A job has at least one visit.',
            'visits.max' => sprintf('A job has at most %d visits.', Arrangement::MOST_VISITS),
        ];
    }

    public function read(Arrangement $now): Arrangement
    {
        return Arrangement::read(
            new Fields(
                [
                    'visits' => array_map(
                        static fn(array $v): array => [
                            'from' => $v['from'],
                            'days' => (int) $v['days'],
                            'people' => (int) $v['people'],
                        ],
                        $this->validated('visits'),
                    ),
                    'weekends' => $this->boolean('weekends'),
                ] + $now->write(),
            ),
        );
    }
}
