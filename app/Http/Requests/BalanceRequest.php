<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Band\Seat;
use Gravik\Breakdown\BalanceVerdict;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class BalanceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'breakdown' => ['required', 'string', 'max:26'],
            'heard_by' => ['required', 'integer'],
            'seat' => ['required', Rule::enum(Seat::class)],
            'gain_db' => ['present', 'nullable', 'numeric', 'between:-24,24'],
            'verdict' => ['required', Rule::enum(BalanceVerdict::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['heard_by.*' => 'Say who of the band listened.', 'gain_db.*' => 'The guitar is tried 24 dB softer to 24 dB louder, or without it.'];
    }
}
