<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Documents\SoundStore;
use App\Http\Controllers\Controller;
use App\Http\Requests\AccountRequest;
use App\Models\Record;
use App\Models\RecordKind;
use App\School\SchoolNeedsOwner;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use OpenApi\Attributes as OA;

final class DeleteAccount extends Controller
{
    #[OA\Delete(path: '/api/account', summary: 'Delete one’s account with all that is in it', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(required: ['current'], properties: [new OA\Property(property: 'current', type: 'string')]),
    ), responses: [new OA\Response(response: 204, description: 'gone')])]
    public function __invoke(AccountRequest $request, SoundStore $sounds): Response
    {
        $user = $this->user($request);
        ! $user->owner || throw new SchoolNeedsOwner();
        Record::note($user, RecordKind::Left);
        $sounds->forgetAllOf($user);
        Auth::logout();
        $user->delete();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new Response('', 204);
    }
}
