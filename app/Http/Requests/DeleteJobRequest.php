<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Job;
use EmberDusk\Formats\Json;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A job is deleted by writing its name. */
final class DeleteJobRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $job = $this->route('job');

        return [
            'name' => [
                'bail',
                'required',
                'string',
                'max:200',
                Rule::in([$job instanceof Job ? Json::bare($job->name) : '']),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => 'Type the job’s name exactly. Nothing was deleted.'];
    }
}
