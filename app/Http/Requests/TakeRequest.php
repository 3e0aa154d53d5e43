<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Listening\Lock\Take;
use Illuminate\Foundation\Http\FormRequest;

final class TakeRequest extends FormRequest
{
    use TakeOfBars;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return self::takeRules() + [
            'taps' => ['present', 'array', 'max:20000'],
            'latency_ms' => ['present', 'nullable', 'numeric', 'between:-500,1000'],
        ];
    }

    public function take(): Take
    {
        return Take::read(['taps' => $this->input('taps')]);
    }
}
