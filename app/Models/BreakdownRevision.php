<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A version that can be gone back to: the last save of a sitting, or a save that was refused as stale.
 *
 * @property int             $id
 * @property string          $breakdown_id
 * @property int             $saved_by
 * @property int             $number
 * @property string          $sitting
 * @property bool            $refused
 * @property bool            $referred_to a take, an export or an assignment is of this version
 * @property string          $document
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable $updated_at
 */
final class BreakdownRevision extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'number' => 'integer',
            'refused' => 'boolean',
            'referred_to' => 'boolean',
            'saved_by' => 'integer',
            'created_at' => 'immutable_datetime',
            'updated_at' => 'immutable_datetime',
        ];
    }
}
