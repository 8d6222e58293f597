<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Joining\GivenAct;
use EmberDusk\Formats\Fields;
use Illuminate\Foundation\Http\FormRequest;

/** Actions or answers of a run, in order: one, or all unsent ones. */
final class JoinActRequest extends FormRequest
{
    /** Acts that are taken immediately; a device sends the rest afterwards. */
    public const MOST = 200;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'acts' => ['required', 'array', 'min:1', 'max:' . self::MOST],
            'acts.*.kind' => ['required', 'string', 'max:20'],
            'acts.*.device' => ['nullable', 'string', 'max:40'],
            'acts.*.text' => ['nullable', 'string', 'max:200'],
            'acts.*.room' => ['nullable', 'string', 'max:200'],
            'acts.*.client' => ['nullable', 'string', 'max:40'],
            'acts.*.at' => ['nullable', 'numeric', 'min:0', 'max:9e12'],
        ];
    }

    /** @return list<GivenAct> */
    public function acts(): array
    {
        return array_map(
            static fn(Fields $f): GivenAct => new GivenAct(
                kind: $f->string('kind', 20),
                device: $f->stringOrNull('device') ?? '',
                text: $f->stringOrNull('text') ?? '',
                room: $f->stringOrNull('room') ?? '',
                client: $f->stringOrNull('client'),
                wall: ($at = $f->numberOrNull('at', 0, 9e12)) === null ? null : $at / 1000,
            ),
            (new Fields((array) $this->validated()))->objects('acts'),
        );
    }
}
