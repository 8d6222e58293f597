<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Build\Arrangement;
use EmberDusk\Build\Schedule;
use EmberDusk\Build\Visit;
use Illuminate\Foundation\Http\FormRequest;

/** A step that is done or not, or how the work is gone about. */
final class BuildRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $step = ['required', 'string', 'max:60'];

        return match (true) {
            $this->routeIs('build.tick') => ['uuid' => ['required', 'uuid'], 'step' => $step, 'done' => ['required', 'boolean'], 'minutes' => ['required', 'integer', 'min:1', 'max:6000'], 'at' => ['required', 'date_format:Y-m-d\TH:i:s.v\Z']],
            $this->routeIs('build.visits') => [
                'visits' => ['required', 'array', 'min:1', 'max:'.Arrangement::MOST_VISITS], 'visits.*.from' => ['required', 'date_format:Y-m-d'],
                'visits.*.days' => ['required', 'integer', 'min:0', 'max:'.Visit::MOST_DAYS], 'visits.*.people' => ['required', 'integer', 'min:1', 'max:2'], 'weekends' => ['required', 'boolean'],
            ],
            $this->routeIs('build.wait') => ['step' => $step, 'after' => ['required', 'string', 'max:60', 'different:step'], 'on' => ['required', 'boolean']],
            default => ['step' => $step, 'keep' => ['required', 'boolean'], 'back' => ['boolean'], 'day' => ['required_unless:back,true', 'date_format:Y-m-d'], 'from' => ['required_unless:back,true', 'integer', 'min:0', 'max:'.(Schedule::DAY - 5)], 'person' => ['required_unless:back,true', 'integer', 'min:0', 'max:1']],
        };
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['minutes.*' => 'A step takes 1 to 6000 minutes.', 'visits.*.from.*' => 'A visit begins on a day, such as 2026-12-01.', 'visits.*.days.*' => sprintf('A visit has 1 to %d days, or none for as many as it takes.', Visit::MOST_DAYS),
            'after.different' => 'A step cannot wait for itself.', 'day.*' => 'Move it to a day, such as 2026-12-01.', 'visits.max' => sprintf('A job has at most %d visits.', Arrangement::MOST_VISITS)];
    }
}
