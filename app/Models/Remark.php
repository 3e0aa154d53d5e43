<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A sentence of teacher or student on a take, or on a moment in it.
 *
 * @property string          $id
 * @property string          $take_id
 * @property int             $author_id
 * @property string          $text
 * @property float|null      $seconds   of the take; null for all of it
 * @property CarbonImmutable $created_at
 * @property-read User       $author
 */
final class Remark extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'author_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['seconds' => 'float', 'created_at' => 'immutable_datetime'];
    }
}
