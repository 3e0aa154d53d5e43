<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Models\Invitation;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class WithdrawInvitation extends Controller
{
    #[OA\Delete(path: '/api/invitations/{invitation}', summary: 'Withdraw a link', parameters: [
        new OA\PathParameter(name: 'invitation', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 204, description: 'it works no more')])]
    public function __invoke(Invitation $invitation): Response
    {
        $invitation->delete();

        return new Response('', 204);
    }
}
