import type { FieldValues, Path, UseFormReturn } from 'react-hook-form';
import { Field } from './field';

/** A password that is chosen, with what is asked of it. */
export const NewPassword = <V extends FieldValues>({
  form,
  label = 'Password',
  also = '',
}: {
  form: UseFormReturn<V>;
  label?: string;
  /** What happens with it. */
  also?: string;
}) => (
  <Field
    form={form}
    name={'password' as Path<V>}
    label={label}
    type="password"
    autoComplete="new-password"
    hint={`At least 10 characters; none of the common ones.${also && ` ${also}`}`}
    className="mb-3"
  />
);
