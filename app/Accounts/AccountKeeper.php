<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Cache\Computed;
use App\Models\AccountImport;
use App\Models\Study;
use App\Models\User;
use App\Studies\StudyKeeper;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Storage;
use KnottyPrism\Core\Error\ImpossibleChange;

/**
 * What somebody may do with their own account. Whoever is signed in elsewhere is known by the password as it was: hashed again, it ends
 * that.
 */
final class AccountKeeper
{
    /** A hash that no password has; checked where a name is unknown, so that it takes as long as where one is known. */
    private const NOBODYS = '$2y$12$nLvvHASdNZvSAa1p4uI6S.f17gEHjRVqs8lq2oQ3ulfKtcxcWiTtm';

    public function __construct(private readonly StudyKeeper $studies)
    {
    }

    /** Known or unknown, a name is refused alike and after the same time. */
    public function signsIn(string $email, string $password, bool $stays): bool
    {
        if (User::query()->where('email', $email)->doesntExist()) {
            Hash::check($password, self::NOBODYS);

            return false;
        }

        return Auth::attempt(['email' => $email, 'password' => $password], $stays);
    }

    /** @throws ImpossibleChange where the password is not the account's */
    public function changePassword(User $user, string $password, string $new): void
    {
        $this->prove($user, $password);
        $user->update(['password' => $new]);
        $this->endElsewhere($user, $new);
    }

    /** @throws ImpossibleChange where the password is not the account's */
    public function signOutElsewhere(User $user, string $password): void
    {
        $this->prove($user, $password);
        $this->endElsewhere($user, $password);
    }

    /**
     * With its studies, photos, plans, pencils, hand, book and shared links; files go once the rows are gone.
     *
     * @throws ImpossibleChange where the password is not the account's
     */
    public function delete(User $user, string $password): void
    {
        $this->prove($user, $password);
        DB::transaction(function () use ($user): void {
            $user->studies()->get()->each(fn (Study $study) => $this->studies->remove($study));
            DB::table('sessions')->where('user_id', $user->id)->delete();
            DB::table('account_clocks')->where('account', $user->id)->delete();
            $files = AccountImport::query()->where('user_id', $user->id)->pluck('path')->all();
            User::query()->whereKey($user->id)->delete();
            DB::afterCommit(static fn () => rescue(static fn () => Storage::delete($files)));
        });
        // What was worked out for it as well.
        rescue(static fn () => Computed::forget($user->id));
    }

    private function endElsewhere(User $user, string $password): void
    {
        Auth::logoutOtherDevices($password);
        $user->setRememberToken(bin2hex(random_bytes(30)));
        $user->save();
    }

    /** The demo belongs to whoever sits at this machine, and has no password that anybody knows. */
    private function prove(User $user, string $password): void
    {
        AccountImport::refuseMeanwhile($user->id);
        if ($user->isDemo()) {
            throw ImpossibleChange::because(
                'The demo account is open to everyone who uses this computer: it has no password and can’t be deleted here. Create an '
                    .'account of your own after “Sign out”.',
            );
        }
        if (! Hash::check($password, $user->password)) {
            throw ImpossibleChange::because('That is not the password of this account; check it and try again.');
        }
    }
}
