<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A recording that waits to be heard, or was: of a take (then it has the take's id), or to be listened to.
 *
 * @property string               $id
 * @property int                  $user_id
 * @property string|null          $breakdown_id of the take; null for what is only listened to
 * @property string               $name         of the file, for its ending
 * @property HearingState         $state
 * @property float                $done         share that is heard, 0 to 1
 * @property bool                 $keeps_sound  whether its player wants the sound kept with the take
 * @property string|null          $message      why it was refused
 * @property array<string, mixed>|null $heard   of what was only listened to
 * @property CarbonImmutable      $created_at
 * @property CarbonImmutable      $updated_at
 * @property-read User            $user
 * @property-read Breakdown|null  $breakdown
 */
final class AskedHearing extends Model
{
    use HasUlids;

    protected $table = 'hearings';

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Breakdown, $this> */
    public function breakdown(): BelongsTo
    {
        return $this->belongsTo(Breakdown::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['user_id' => 'integer', 'done' => 'float', 'keeps_sound' => 'boolean', 'state' => HearingState::class, 'heard' => 'array',
            'created_at' => 'immutable_datetime', 'updated_at' => 'immutable_datetime'];
    }
}
