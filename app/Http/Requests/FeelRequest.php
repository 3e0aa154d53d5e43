<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Time\Feel;
use Gravik\Time\SwingUnit;
use Illuminate\Foundation\Http\FormRequest;

/** A feel as somebody types it. */
final class FeelRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['typed' => ['required', 'string', 'max:40'], 'unit' => ['required', 'string', 'in:eighth,sixteenth']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['typed.*' => 'Type a feel: straight, 2, 3:2 or 62 %.', 'unit.*' => 'Swing lies on eighths or sixteenths.'];
    }

    public function feel(): Feel
    {
        return Feel::parse($this->string('typed')->toString(), SwingUnit::from($this->string('unit')->toString()));
    }
}
