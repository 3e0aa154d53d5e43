<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A link that works once and for seven days. Only the hash of its token is kept.
 *
 * @property string               $id
 * @property InvitationKind       $kind
 * @property string               $token      hashed
 * @property int                  $made_by
 * @property string|null          $group_id
 * @property int|null             $for_id     whose new password it is
 * @property string               $name       of who is meant, as the teacher knows them
 * @property CarbonImmutable      $expires_at
 * @property CarbonImmutable|null $used_at
 * @property-read User            $maker
 * @property-read Group|null      $group
 * @property-read User|null       $person
 */
final class Invitation extends Model
{
    use HasUlids;

    public const DAYS = 7;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class);
    }

    /** @return BelongsTo<User, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'for_id');
    }

    public function isOpen(): bool
    {
        return $this->used_at === null && $this->expires_at->isFuture();
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => InvitationKind::class, 'expires_at' => 'immutable_datetime', 'used_at' => 'immutable_datetime'];
    }
}
