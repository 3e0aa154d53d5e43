<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\Pivot;

/**
 * A class or a band.
 *
 * @property string      $id
 * @property int         $teacher_id
 * @property string      $name
 * @property string|null $code by which students join; null while nobody may
 * @property-read User   $teacher
 * @property-read Collection<int, User> $members
 */
final class Group extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function teacher(): BelongsTo
    {
        return $this->belongsTo(User::class, 'teacher_id');
    }

    /** The instrument of one of its members, as Instrument has it; '' for one who has none yet. */
    public function playsOf(User $member): string
    {
        $pivot = $member->getRelation('pivot');
        $plays = $pivot instanceof Pivot ? $pivot->getAttribute('plays') : null;

        return is_string($plays) ? $plays : '';
    }

    /** @return BelongsToMany<User, $this> */
    public function members(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'group_members', 'group_id', 'student_id')->withPivot('plays');
    }
}
