<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * A genre word of a teacher's own: a breakdown without chords, to begin others from.
 *
 * @property string               $id
 * @property int                  $owner_id
 * @property string               $name
 * @property array<string, mixed> $document
 */
final class KeptProfile extends Model
{
    use HasUlids;

    protected $table = 'profiles';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'array'];
    }
}
