<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * A move that a teacher recorded from a bar of a song, to be played in any other.
 *
 * @property string               $id
 * @property int                  $owner_id
 * @property string               $name
 * @property array<string, mixed> $figure   as it is in a document
 */
final class KeptMove extends Model
{
    use HasUlids;

    protected $table = 'moves';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['figure' => 'array'];
    }
}
