<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Gravik\Breakdown\Arrangement;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string               $id
 * @property string               $breakdown_id
 * @property int                  $player_id
 * @property int                  $revision
 * @property float                $tempo
 * @property float                $swing
 * @property float|null           $latency_ms
 * @property int                  $bars
 * @property int                  $from_bar
 * @property float                $seconds  its bars take at its tempo
 * @property string               $stage   of the lesson; '' for the whole song
 * @property Arrangement          $arrangement
 * @property int                  $level    of the pattern that was asked for, 1 to 3
 * @property int                  $number   of this player on this breakdown, from 1
 * @property bool                 $passed
 * @property float|null           $bias_ms
 * @property float|null           $spread_ms
 * @property float                $gate_ms  what the bias was allowed to be
 * @property string|null          $finding  what the report says first
 * @property array<string, float> $gate
 * @property list<array{t: float, key?: string}> $strokes
 * @property array<string, mixed> $report
 * @property float|null           $sound_at second of the kept recording at which bar 1 beat 1 lies; null where none is kept
 * @property CarbonImmutable      $created_at
 * @property-read User            $player
 */
final class Take extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function player(): BelongsTo
    {
        return $this->belongsTo(User::class, 'player_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'tempo' => 'float', 'swing' => 'float', 'latency_ms' => 'float', 'bias_ms' => 'float', 'spread_ms' => 'float', 'gate_ms' => 'float',
            'seconds' => 'float', 'sound_at' => 'float',
            'revision' => 'integer', 'player_id' => 'integer', 'number' => 'integer', 'level' => 'integer',
            'bars' => 'integer', 'from_bar' => 'integer', 'passed' => 'boolean',
            'arrangement' => Arrangement::class,
            'gate' => 'array', 'strokes' => 'array', 'report' => 'array', 'created_at' => 'immutable_datetime',
        ];
    }
}
