<?php

declare(strict_types=1);

namespace App\Account;

/** What can be done that stands in the log of who did what. */
enum DeedKind: string
{
    case Begun = 'begun';
    case Invited = 'invited';
    case Withdrawn = 'withdrawn';
    case Joined = 'joined';
    case RoleChanged = 'role-changed';
    case Left = 'left';
    case CameBack = 'came-back';
    case PasswordChanged = 'password-changed';
    case PasswordLink = 'password-link';
    case SignedOutEverywhere = 'signed-out-everywhere';
    case HandedOver = 'handed-over';
    case PlaceAdded = 'place-added';
    case PlaceChanged = 'place-changed';
    case Permitted = 'permitted';
    case Forbidden = 'forbidden';
    case QuotasChanged = 'quotas-changed';
    case TreeGone = 'tree-gone';
    case TagChanged = 'tag-changed';
    case TreesMerged = 'trees-merged';
    case TreeSplit = 'tree-split';
    case KindHeld = 'kind-held';
    case KindDoubted = 'kind-doubted';
    case PictureRemoved = 'picture-removed';
    case Imported = 'imported';
    case CopyMade = 'copy-made';
    case Recalled = 'recalled';
    case PoisonCentre = 'poison-centre';
    case TrustGranted = 'trust-granted';
    case TrustWithdrawn = 'trust-withdrawn';
    case TrustFallen = 'trust-fallen';

    public function words(): string
    {
        return match ($this) {
            self::Begun => 'began the school',
            self::Invited => 'invited',
            self::Withdrawn => 'withdrew the invitation of',
            self::Joined => 'joined',
            self::RoleChanged => 'changed the role of',
            self::Left => 'ended the account of',
            self::CameBack => 'took back',
            self::PasswordChanged => 'changed the password of',
            self::PasswordLink => 'made a link for a new password for',
            self::SignedOutEverywhere => 'signed out everywhere',
            self::HandedOver => 'handed over the examination of',
            self::PlaceAdded => 'entered the place',
            self::PlaceChanged => 'changed the place',
            self::Permitted => 'recorded a permission for',
            self::Forbidden => 'recorded a refusal for',
            self::QuotasChanged => 'changed the quotas of',
            self::TreeGone => 'said what became of the tree',
            self::TagChanged => 'gave another tag to the tree now called',
            self::TreesMerged => 'made one tree of two, with the tag',
            self::TreeSplit => 'made two trees of the tree with the tag',
            self::KindHeld => 'confirmed the kind of the tree',
            self::KindDoubted => 'doubted the kind of the tree',
            self::PictureRemoved => 'took away a picture of',
            self::Imported => 'brought in',
            self::CopyMade => 'made a copy of everything,',
            self::Recalled => 'called back',
            self::TrustGranted => 'trusted with a part',
            self::TrustWithdrawn => 'withdrew the trust of',
            self::TrustFallen => 'had trusted, and a look went wrong: trust fell for',
            self::PoisonCentre => 'entered as the poison centre’s number',
        };
    }
}
