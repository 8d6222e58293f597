<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Job;
use App\Models\User;
use App\People\Role;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** An invitation: the role, the job of a guest, the e-mail address that it is sent to. */
final class InviteRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $user = $this->user();

        return [
            'role' => ['required', 'string', Rule::enum(Role::class)],
            'job' => [
                Rule::requiredIf($this->input('role') === Role::Guest->value),
                'nullable',
                'integer',
                Rule::exists('jobs', 'id')
                    ->where('crew_id', $user instanceof User ? $user->crew_id : 0)
                    ->whereNull('deleted_at'),
            ],
            'email' => ['nullable', 'string', 'email', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['job.required' => 'Choose the job that the guest may see.'];
    }

    public function role(): Role
    {
        return Role::from($this->safe()->string('role')->toString());
    }

    /** The job of a guest; null for every other role. */
    public function job(): ?Job
    {
        return $this->role() === Role::Guest ? Job::query()->find($this->safe()->integer('job')) : null;
    }

    /** Empty where the link is only shown. */
    public function email(): string
    {
        return $this->safe()->string('email')->toString();
    }
}
