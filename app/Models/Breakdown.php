<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * @property string               $id
 * @property int                  $owner_id
 * @property string               $title
 * @property string               $genre
 * @property string               $key
 * @property string               $meter
 * @property float                $tempo
 * @property string               $feel
 * @property int                  $revision
 * @property string               $sitting    in which it was saved last
 * @property string               $document   the breakdown as JSON
 * @property string|null          $words      what it is searched by, in lower case
 * @property string|null          $sketch     one bar of the hand as the shelf draws it, as JSON
 * @property CarbonImmutable      $updated_at
 * @property CarbonImmutable|null $deleted_at
 */
final class Breakdown extends Model
{
    use HasUlids;
    use SoftDeletes;

    protected $guarded = [];

    /** @return HasMany<BreakdownRevision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(BreakdownRevision::class);
    }

    /** @return HasMany<Take, $this> */
    public function takes(): HasMany
    {
        return $this->hasMany(Take::class);
    }

    /** @return HasMany<Take, $this> one's own; for its owner everybody's */
    public function takesSeenBy(User $user): HasMany
    {
        $takes = $this->takes();
        if ($this->owner_id !== $user->id) {
            $takes->where('player_id', $user->id);
        }

        return $takes;
    }

    /** @return BelongsToMany<User, $this> */
    public function students(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'assignments', 'breakdown_id', 'student_id');
    }

    /** @return Builder<self> what a person may see: their own, and what is assigned to them */
    public static function visibleTo(User $user): Builder
    {
        return self::query()->where(static fn (Builder $query): Builder => $query
            ->where('owner_id', $user->id)
            ->orWhereHas('students', static fn (Builder $students): Builder => $students->whereKey($user->id)));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'tempo' => 'float',
            'revision' => 'integer',
            'owner_id' => 'integer',
            'updated_at' => 'immutable_datetime',
            'deleted_at' => 'immutable_datetime',
        ];
    }
}
