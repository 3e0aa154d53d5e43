<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A breakdown that a student works at, in the revision it was given in.
 *
 * @property int                  $id
 * @property string               $breakdown_id
 * @property int                  $student_id
 * @property int                  $revision   it is read and judged in
 * @property list<array{key: string, name: string, tempo: int}>|null $stages of the lesson, in order, with the tempo each
 * begins at; null for the whole song
 * @property int                  $reached    which of them it is at, from 0
 * @property bool                 $opens      whether a passed gate opens the next stage by itself
 * @property CarbonImmutable|null $due_on
 * @property int                  $minutes    it takes a day
 * @property bool                 $eases      whether grips that its student's hand cannot take are given easier
 * @property list<array{symbol: string, why: string, was: list<int|null>, now: list<int|null>}>|null $eased those that are
 * @property string|null          $eased_document with them
 * @property int|null             $given_by
 * @property CarbonImmutable|null $passed_at  when the last stage was
 * @property CarbonImmutable      $created_at
 * @property-read Breakdown       $breakdown
 * @property-read User            $student
 */
final class Assignment extends Model
{
    protected $guarded = [];

    /** All but the whole documents: for lists of many. */
    private const LISTED = ['id', 'breakdown_id', 'student_id', 'revision', 'stages', 'reached', 'opens', 'eases', 'eased', 'due_on', 'minutes',
        'given_by', 'passed_at', 'created_at', 'updated_at'];

    /** @return Builder<self> */
    public static function listed(): Builder
    {
        $listed = self::query();
        $listed->select(self::LISTED);

        return $listed;
    }

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

    /** Key of the stage that lies on the stand; null for the whole song. */
    public function stageKey(): ?string
    {
        return $this->stages[$this->reached]['key'] ?? null;
    }

    /** Beats a minute at which the stage begins; null for the whole song. */
    public function startTempo(): ?int
    {
        return $this->stages[$this->reached]['tempo'] ?? null;
    }

    public function stageName(): string
    {
        return $this->stages[$this->reached]['name'] ?? 'the whole song';
    }

    /** What is still to be done comes before what is passed, and what is due sooner before what is due later or never. */
    public function order(): string
    {
        // As they are stored: a school has thousands, and making dates of them takes longer than fetching them.
        [$passed, $due] = [$this->getRawOriginal('passed_at'), $this->getRawOriginal('due_on')];

        return ($passed === null ? '0' : '1').' '.(is_string($due) ? $due : '9999').' '.str_pad((string) $this->id, 12, '0', STR_PAD_LEFT);
    }

    public function isAtLast(): bool
    {
        return $this->reached >= count($this->stages ?? []) - 1;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'eases' => 'boolean',
            'eased' => 'array',
            'stages' => 'array',
            'opens' => 'boolean',
            'due_on' => 'immutable_date',
            'passed_at' => 'immutable_datetime',
            'revision' => 'integer',
            'reached' => 'integer',
            'minutes' => 'integer',
            'created_at' => 'immutable_datetime',
        ];
    }
}
