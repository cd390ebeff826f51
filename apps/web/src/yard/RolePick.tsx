import { type ReactNode } from 'react';
import { ROLES, type Role } from '../state/api';
import { useTell } from '../state/words';
import { ROLE_NAMES } from './roles';

export function RolePick({
  label,
  value,
  most,
  onChange,
}: {
  label: string;
  value: Role;
  most: Role;
  onChange: (role: Role) => void;
}): ReactNode {
  const tell = useTell();
  return (
    <select
      aria-label={label}
      className="entry w-auto font-sans"
      value={value}
      onChange={(e) => onChange(e.currentTarget.value as Role)}
    >
      {ROLES.filter((r) => ROLES.indexOf(r) <= ROLES.indexOf(most)).map((r) => (
        <option key={r} value={r}>
          {tell(ROLE_NAMES[r])}
        </option>
      ))}
    </select>
  );
}
