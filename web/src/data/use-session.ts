import { Account, Door, Session } from '@wrenfern/contract/account';
import { useAnswer } from './answers.ts';

export function useSession() {
  return useAnswer(Session, '/session', { shouldRetryOnError: false });
}

export function useDoor() {
  return useAnswer(Door, '/door');
}

export function useAccount() {
  return useAnswer(Account, '/account');
}
