<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Gravik\Breakdown\StageKey;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A breakdown that a student works at, in the revision it was given in.
 *
 * @property int                  $id
 * @property string               $breakdown_id
 * @property int                  $student_id
 * @property int                  $revision   it is read and judged in
 * @property list<string>|null    $stages     keys of the lesson's, in order; null for the whole song
 * @property int                  $reached    which of them it is at, from 0
 * @property bool                 $opens      whether a passed gate opens the next stage by itself
 * @property CarbonImmutable|null $due_on
 * @property int                  $minutes    it takes a day
 * @property int|null             $given_by
 * @property CarbonImmutable|null $passed_at  when the last stage was
 * @property CarbonImmutable      $created_at
 * @property-read Breakdown       $breakdown
 * @property-read User            $student
 */
final class Assignment extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<Breakdown, $this> */
    public function breakdown(): BelongsTo
    {
        return $this->belongsTo(Breakdown::class);
    }

    /** @return BelongsTo<User, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(User::class, 'student_id');
    }

    /** The stage that lies on the stand; null for the whole song. */
    public function stage(): ?StageKey
    {
        $key = $this->stages[min($this->reached, max(0, count($this->stages ?? []) - 1))] ?? null;

        return $key === null ? null : StageKey::parse($key);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'stages' => 'array', 'opens' => 'boolean', 'due_on' => 'immutable_date', 'passed_at' => 'immutable_datetime',
            'revision' => 'integer', 'reached' => 'integer', 'minutes' => 'integer', 'created_at' => 'immutable_datetime',
        ];
    }
}
