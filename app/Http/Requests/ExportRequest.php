<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Documents\SoundWish;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\PassRemover;
use Gravik\Time\Tempo;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A file of a breakdown; where it is the handout, what is wanted on it; where it is sound, who is heard and how fast. */
final class ExportRequest extends FormRequest
{
    use HandoutWish;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return self::handoutRules() + [
            'pass' => ['sometimes', 'string', 'max:40'],
            'hear' => ['sometimes', Rule::in(SoundWish::choices())],
            'tempo' => ['sometimes', 'numeric', 'between:'.Tempo::SLOWEST.','.Tempo::FASTEST],
        ];
    }

    /** The song, or the one pass of it that is wanted. */
    public function wanted(Breakdown $song): Breakdown
    {
        $pass = $this->string('pass')->toString();

        return $pass === '' ? $song : (new PassRemover())->keepOnly($song, $pass);
    }

    public function sound(): SoundWish
    {
        return SoundWish::of($this->string('hear')->toString(), $this->has('tempo') ? $this->float('tempo') : null);
    }
}
