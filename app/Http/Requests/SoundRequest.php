<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A recording to be listened to. */
final class SoundRequest extends FormRequest
{
    use HasSoundBody;
}
