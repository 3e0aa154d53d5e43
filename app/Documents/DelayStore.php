<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Calibration;
use App\Models\User;
use Gravik\Listening\Hearing\LatencyCheck;

/** Keeps what a device's delay was measured to be, and what it was before. */
final readonly class DelayStore
{
    public function keep(User $user, string $device, LatencyCheck $check): Calibration
    {
        $key = ['user_id' => $user->id, 'device' => $device];
        $before = Calibration::query()->where($key)->first()?->latency_ms;

        return Calibration::query()->updateOrCreate(
            $key,
            [
                'latency_ms' => round($check->latencyMs, 2),
                'spread_ms' => round($check->spreadMs, 2),
                'was_ms' => $before,
                'measured_at' => now(),
            ],
        );
    }
}
