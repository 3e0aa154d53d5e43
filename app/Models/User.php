<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int    $id
 * @property string $name
 * @property string $email
 * @property string $password hashed
 * @property Role   $role
 * @property bool   $owner       sees the whole school and invites teachers
 * @property bool   $left_handed necks are drawn with the nut at the right
 * @property bool   $high_on_top necks are drawn with the highest string on top
 * @property bool   $keeps_sound whether the sound of their takes is kept
 * @property string $hand  what the hand can do, as HandProfile writes it
 */
final class User extends Authenticatable
{
    protected $guarded = [];

    protected $attributes = ['left_handed' => false, 'high_on_top' => false, 'owner' => false, 'keeps_sound' => false, 'hand' => 'medium'];

    /** Nobody is remembered beyond the session, so there is no token to keep. */
    protected $rememberTokenName = '';

    protected $hidden = ['password'];

    /** An address is the same however it is capitalised. */
    protected function email(): Attribute
    {
        return Attribute::set(static fn (string $typed): string => mb_strtolower(trim($typed)));
    }

    /** @return HasMany<Breakdown, $this> */
    public function breakdowns(): HasMany
    {
        return $this->hasMany(Breakdown::class, 'owner_id');
    }

    /** @return BelongsToMany<Breakdown, $this> */
    public function assigned(): BelongsToMany
    {
        return $this->belongsToMany(Breakdown::class, 'assignments', 'student_id');
    }

    /** @return BelongsToMany<self, $this> */
    public function students(): BelongsToMany
    {
        return $this->belongsToMany(self::class, 'taught', 'teacher_id', 'student_id');
    }

    /** @return BelongsToMany<self, $this> */
    public function teachers(): BelongsToMany
    {
        return $this->belongsToMany(self::class, 'taught', 'student_id', 'teacher_id');
    }

    /** @return Builder<self> this teacher's students; the owner of the school sees all there are */
    public static function taughtBy(self $teacher): Builder
    {
        $students = self::query()->where('role', Role::Student);

        return $teacher->owner
            ? $students
            : $students->whereHas('teachers', static fn (Builder $teachers): Builder => $teachers->whereKey($teacher->id));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'role' => Role::class,
            'owner' => 'boolean',
            'keeps_sound' => 'boolean',
            'left_handed' => 'boolean',
            'high_on_top' => 'boolean',
        ];
    }
}
