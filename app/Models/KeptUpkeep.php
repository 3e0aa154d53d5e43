<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Gravik\Lesson\Day\Upkeep;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * When something a student has passed comes back.
 *
 * @property int             $id
 * @property int             $student_id
 * @property string          $breakdown_id
 * @property string          $stage        of the lesson; '' for the whole song
 * @property int             $days         between the last check and this one
 * @property CarbonImmutable $due_on
 * @property CarbonImmutable $created_at   when it was passed for the first time
 * @property-read Breakdown  $breakdown
 */
final class KeptUpkeep extends Model
{
    protected $table = 'upkeeps';

    protected $guarded = [];

    /** @return BelongsTo<Breakdown, $this> */
    public function breakdown(): BelongsTo
    {
        return $this->belongsTo(Breakdown::class);
    }

    public function upkeep(): Upkeep
    {
        return Upkeep::of($this->days, $this->due_on);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['days' => 'integer', 'due_on' => 'immutable_date', 'created_at' => 'immutable_datetime'];
    }
}
