<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A document, and a MIDI file whose track a lead is to play. */
final class TuneRequest extends DocumentRequest
{
    /** Letters of base 64: three quarters of a megabyte of file. */
    private const LONGEST = 1_000_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'part' => ['required', 'string', 'max:40'],
            'name' => ['present', 'nullable', 'string', 'max:80'],
            'midi' => ['required', 'string', 'max:'.self::LONGEST],
            'track' => ['nullable', 'integer', 'between:1,1000'],
        ] + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'midi.*' => 'A tune is a MIDI file of at most 750 kB. Choose a smaller one, or export one track alone.',
        ] + parent::messages();
    }

    /** @return string bytes; none where the letters are not base 64 */
    public function midi(): string
    {
        return (string) base64_decode($this->string('midi')->toString(), true);
    }

    public function track(): ?int
    {
        return $this->filled('track') ? $this->integer('track') : null;
    }
}
