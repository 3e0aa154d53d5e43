<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A device's measured delay.
 *
 * @property int             $user_id
 * @property string          $device
 * @property float           $latency_ms
 * @property float           $spread_ms
 * @property float|null      $was_ms
 * @property CarbonImmutable $measured_at
 */
final class Calibration extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['latency_ms' => 'float', 'spread_ms' => 'float', 'was_ms' => 'float', 'measured_at' => 'immutable_datetime'];
    }
}
