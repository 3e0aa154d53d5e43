<?php

declare(strict_types=1);

namespace App\Models;

use Gravik\Lesson\Steps\Flaw;
use Illuminate\Database\Eloquent\Model;

/**
 * One answer of somebody who heard a part twice, once with a flaw, and said which was which.
 *
 * @property int    $user_id
 * @property string $breakdown_id
 * @property Flaw   $flaw
 * @property bool   $was_right
 */
final class Ear extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['flaw' => Flaw::class, 'was_right' => 'boolean'];
    }
}
