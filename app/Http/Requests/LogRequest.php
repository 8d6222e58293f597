<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use EmberDusk\Bench\Log\LogEntry;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Something that was read, seen, fixed or remarked, as the device tells it that was used. */
final class LogRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'uuid' => ['required', 'uuid'],
            'byUser' => ['nullable', 'integer', 'min:1'],
            'practice' => ['nullable', 'integer', 'min:1'],
            'kind' => ['required', 'string', Rule::in(array_diff(LogEntry::KINDS, [LogEntry::ACCEPT]))],
            'place' => ['present', 'nullable', 'string', 'max:80', 'regex:/^[a-z0-9@.:-]*$/'],
            'command' => ['present', 'nullable', 'string', 'max:80'],
            'value' => ['nullable', 'numeric'],
            'text' => ['present', 'nullable', 'string', 'max:500'],
            'by' => ['present', 'nullable', 'string', 'max:20', 'regex:/^[a-z]*$/'],
            'sure' => ['required', 'boolean'],
            'at' => ['bail', 'required', 'string', 'date_format:Y-m-d\TH:i:s.v\Z'],
        ];
    }

    /**
     * @param  string  $now  that no device is ahead of
     *
     * @throws \EmberDusk\Values\InvalidInput with the field and the expected value
     */
    public function entry(User $user, string $now): LogEntry
    {
        $value = $this->filled('value') ? $this->float('value') : null;

        return (new LogEntry(
            uuid: $this->string('uuid')->toString(),
            kind: $this->string('kind')->toString(),
            place: $this->string('place')->toString(),
            command: $this->string('command')->toString(),
            value: $value,
            text: trim($this->string('text')->toString()),
            by: $this->string('by')->toString(),
            sure: $this->boolean('sure'),
            at: min($this->string('at')->toString(), $now),
            who: $user->name,
        ))->check();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'value.*' => 'Enter the reading as a number, such as 23.4.',
            'place.*' => 'Choose the place in the wiring picture.',
            'kind.*' => 'This page is from another version. Reload it.',
        ];
    }
}
