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
 * @property bool   $left_handed necks are drawn with the nut at the right
 * @property bool   $high_on_top necks are drawn with the highest string on top
 * @property string $hand  what the hand can do, as HandProfile writes it
 */
final class User extends Authenticatable
{
    protected $guarded = [];

    protected $attributes = ['left_handed' => false, 'high_on_top' => false];

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

    /** @return Builder<self> whoever is assigned a breakdown of this teacher's */
    public static function taughtBy(self $teacher): Builder
    {
        return self::query()->where('role', Role::Student)->whereHas(
            'assigned',
            static fn (Builder $breakdowns): Builder => $breakdowns->where('owner_id', $teacher->id),
        );
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class, 'left_handed' => 'boolean', 'high_on_top' => 'boolean'];
    }
}
