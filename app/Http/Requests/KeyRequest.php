<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Harmony\Key;
use Illuminate\Foundation\Http\FormRequest;

final class KeyRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['key' => ['required', 'string', 'max:40']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['key.*' => 'Say a key, such as A♭ major.'];
    }

    public function key(): Key
    {
        return Key::parse($this->string('key')->toString());
    }
}
