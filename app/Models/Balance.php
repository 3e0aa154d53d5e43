<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Gravik\Band\Seat;
use Gravik\Breakdown\BalanceVerdict;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What somebody of a band heard of the guitar in it.
 *
 * @property string          $id
 * @property string          $group_id
 * @property string          $breakdown_id
 * @property int|null        $heard_by
 * @property Seat            $seat
 * @property float|null      $gain_db  of the guitar against how it is written; null for the band without it
 * @property BalanceVerdict  $verdict
 * @property CarbonImmutable $created_at
 * @property-read User|null  $listener
 */
final class Balance extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function listener(): BelongsTo
    {
        return $this->belongsTo(User::class, 'heard_by');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['gain_db' => 'float', 'seat' => Seat::class, 'verdict' => BalanceVerdict::class, 'created_at' => 'immutable_datetime'];
    }
}
