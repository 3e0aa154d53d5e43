<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Listening\Lock\Take;
use Gravik\Simulation\SimulatedPlayer;

/** How a simulated student is to play the document. */
final class SimulateRequest extends DocumentRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(),
            'bars' => ['required', 'integer', 'between:1,'.Take::MOST_BARS],
            'bias_ms' => ['sometimes', 'numeric', 'between:-150,150'],
            'off_beat_ms' => ['sometimes', 'numeric', 'between:-150,150'],
            'spread_ms' => ['sometimes', 'numeric', 'between:0,100'],
            'drift_bpm_per_min' => ['sometimes', 'numeric', 'between:-60,60'],
            'missed' => ['sometimes', 'numeric', 'between:0,0.9'],
            'extra' => ['sometimes', 'numeric', 'between:0,0.9'],
            'seed' => ['sometimes', 'integer', 'between:0,2147483647'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['bars.*' => 'A take has 1 to '.Take::MOST_BARS.' bars.']
            + parent::messages()
            + ['*.between' => 'That is more than a player would be off by.'];
    }

    public function player(): SimulatedPlayer
    {
        return new SimulatedPlayer(
            $this->float('bias_ms'),
            $this->float('off_beat_ms'),
            $this->float('spread_ms'),
            $this->float('missed'),
            $this->integer('seed', 1),
            $this->float('drift_bpm_per_min'),
            $this->float('extra'),
        );
    }
}
