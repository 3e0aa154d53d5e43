<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Gravik\Neck\HandProfile;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;

/** What a student's hand can do, as HandProfile writes it. */
final class HandOfStudentRequest extends FormRequest
{
    /** One's own hand, or that of somebody one teaches; who is not taught here is not there. */
    public function authorize(): Response
    {
        $teacher = $this->user();
        $student = $this->route('student');

        return $teacher instanceof User && ((string) $teacher->id === $student || User::taughtBy($teacher)->whereKey($student)->exists())
            ? Response::allow()
            : Response::denyAsNotFound();
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['hand' => ['required', 'string', 'max:60']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['hand.*' => 'Say the size of the hand and what it cannot do, such as small, no-barre.'];
    }

    public function hand(): HandProfile
    {
        return HandProfile::parse($this->string('hand')->toString());
    }
}
